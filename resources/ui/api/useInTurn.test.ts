// @vitest-environment happy-dom
import { act, renderHook } from '@testing-library/react';
import { useState } from 'react';
import { expect, it } from 'vitest';
import { useInTurn } from './useInTurn';

it('asks each of what the last one left, and goes on after a refusal', async () => {
    const { result } = renderHook(() => {
        const [view, setView] = useState('');
        return { view, turn: useInTurn(view, setView) };
    });
    const late = (ms: number, add: string) => async (of: string) => {
        await new Promise((r) => setTimeout(r, ms));
        return add === '!' ? Promise.reject(new Error('refused')) : of + add;
    };
    await act(async () => {
        result.current.turn.ask(late(30, 'a'));
        result.current.turn.ask(late(5, '!'));
        result.current.turn.ask(late(1, 'b'));
        await new Promise((r) => setTimeout(r, 80));
    });
    expect([result.current.view, result.current.turn.waiting]).toEqual(['ab', false]);
});
