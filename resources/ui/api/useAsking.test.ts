// @vitest-environment happy-dom
import { act, renderHook } from '@testing-library/react';
import { expect, it } from 'vitest';
import { Failure } from './client';
import { useAsking } from './useAsking';

const after = (ms: number) => act(() => new Promise((r) => setTimeout(r, ms)));

it('asks once for what is typed in one go, and lets go of an answer to what was typed before', async () => {
    const asked: string[] = [];
    const ask = async (of: string) => {
        asked.push(of);
        await new Promise((r) => setTimeout(r, of === 'slow' ? 60 : 1));
        return of === 'bad' ? Promise.reject(new Failure(422, 'no number')) : `${of}!`;
    };
    const { result, rerender } = renderHook(({ of }: { of: string | null }) => useAsking(of, ask, 20), {
        initialProps: { of: '4' as string | null },
    });
    for (const of of ['4', '48', 'slow']) {
        rerender({ of });
    }
    await after(40);
    rerender({ of: '48,5' });
    await after(120);
    expect(asked).toEqual(['slow', '48,5']);
    expect(result.current).toEqual({ said: '48,5!', failed: null });
    rerender({ of: 'bad' });
    await after(60);
    expect([result.current.said, result.current.failed?.message]).toEqual(['48,5!', 'no number']);
    rerender({ of: null });
    await after(40);
    expect(result.current).toEqual({ said: null, failed: null });
});
