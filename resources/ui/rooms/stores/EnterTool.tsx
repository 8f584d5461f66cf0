import { type FormEvent, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { Field } from '../../parts/Field';
import { Trouble } from '../../parts/Page';

const blank = {
    code: '',
    title: '',
    kind: '',
    unit: '',
    low: '',
    high: '',
    resolution: '',
    uncertainty: '',
    place: '',
    checked: '',
    cal_due: '',
    paper: '',
};
type Entered = typeof blank;

const number = (v: string): number => Number(v.replace(',', '.'));

/** A new tool: what it reads, how well, and the check it comes with. */
export function EnterTool({ onClose }: { onClose: () => void }) {
    const navigate = useNavigate();
    const [as, setAs] = useState<Entered>(blank);
    const send = useSend(
        (e: Entered, headers) =>
            take(
                api.POST('/api/tools', {
                    body: {
                        ...e,
                        low: number(e.low),
                        high: number(e.high),
                        resolution: number(e.resolution),
                        uncertainty: number(e.uncertainty),
                    },
                    headers,
                }),
            ),
        (room) => void navigate(`/stores/tools/${room.tool.code}`),
    );
    const field = (name: keyof Entered, label: string, more: { type?: string; hint?: string; numeric?: boolean } = {}) => (
        <Field
            label={label}
            name={name}
            type={more.type}
            hint={more.hint}
            inputMode={more.numeric ? 'decimal' : undefined}
            autoComplete="off"
            value={as[name]}
            onChange={(e) => setAs({ ...as, [name]: name === 'code' ? e.target.value.toUpperCase() : e.target.value })}
        />
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        send.mutate(as);
    };
    const numbers = [as.low, as.high, as.resolution, as.uncertainty];
    return (
        <Dialog open onClose={onClose} title="Enter a tool" wide>
            <form onSubmit={submit} className="space-y-4">
                <div className="grid grid-cols-3 gap-x-4 gap-y-3 max-[800px]:grid-cols-1">
                    {field('code', 'Code')}
                    {field('title', 'What it is')}
                    {field('kind', 'Kind', { hint: 'As the cards ask for it: torque wrench, pressure gauge.' })}
                    {field('unit', 'Reads in', { hint: 'Nm, bar, mm, deg, lbf, s …' })}
                    {field('low', 'From', { numeric: true })}
                    {field('high', 'To', { numeric: true })}
                    {field('resolution', 'Reads to', { numeric: true })}
                    {field('uncertainty', 'Uncertainty', { numeric: true, hint: 'In the same unit, from its certificate.' })}
                    {field('place', 'Where it lies')}
                    {field('checked', 'Checked on', { type: 'date' })}
                    {field('cal_due', 'Stands until', { type: 'date' })}
                    {field('paper', 'By which certificate')}
                </div>
                <Trouble error={send.error} />
                <Button
                    kind="main"
                    big
                    type="submit"
                    disabled={send.isPending || Object.values(as).includes('') || numbers.some((n) => Number.isNaN(number(n)))}
                >
                    Enter it
                </Button>
            </form>
        </Dialog>
    );
}
