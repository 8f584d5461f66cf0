import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { Pick } from '../../parts/Pick';

/** What a crew says, entered at the aircraft. */
export function EnterReport({ aircraft, onClose }: { aircraft: string[]; onClose: () => void }) {
    const go = useNavigate();
    const [of, setOf] = useState({ mark: '', flight: '', crew: '', text: '', chapter: '' });
    const send = useSend(
        (body: typeof of, headers) =>
            take(
                api.POST('/api/reports', {
                    body: { ...body, flight: body.flight || null, chapter: body.chapter || null },
                    headers,
                }),
            ),
        (page) => go(`/deferrals/reports/${page.report.id}`),
    );
    const field = (name: keyof typeof of) => ({
        name,
        value: of[name],
        onChange: (e: React.ChangeEvent<HTMLInputElement>) => setOf({ ...of, [name]: e.target.value }),
    });
    return (
        <FormDialog
            title="What the crew says"
            action="Enter it"
            ready={of.mark !== '' && of.crew.trim() !== '' && of.text.trim() !== ''}
            send={send}
            onSend={() => send.mutate(of)}
            onClose={onClose}
        >
            <div className="grid grid-cols-2 gap-3">
                <Pick big label="Aircraft" name="mark" value={of.mark} onChange={(mark) => setOf({ ...of, mark })}>
                    <option value="">choose</option>
                    {aircraft.map((m) => (
                        <option key={m}>{m}</option>
                    ))}
                </Pick>
                <Field label="Flight" hint="If it has a number." {...field('flight')} />
            </div>
            <Field label="What they say" hint="In their own words." {...field('text')} />
            <div className="grid grid-cols-2 gap-3">
                <Field label="Who says it" {...field('crew')} />
                <Field label="Chapter" hint="Blank: proposed from the words." {...field('chapter')} />
            </div>
        </FormDialog>
    );
}
