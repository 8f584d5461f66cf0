import { useNavigate } from 'react-router';
import { api, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { touches } from '../../api/keys';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { typed, useFields } from '../../parts/fields';

/** A new tool: what it reads, how well, and the check it comes with. */
export function EnterTool({ onClose }: { onClose: () => void }) {
    const navigate = useNavigate();
    const { values: v, bind } = useFields({
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
    });
    const numbers = {
        low: typed(v.low),
        high: typed(v.high),
        resolution: typed(v.resolution),
        uncertainty: typed(v.uncertainty),
    };
    const send = useSend(
        (body: Omit<typeof v, keyof typeof numbers> & typeof numbers, headers) =>
            take(api.POST('/api/tools', { body, headers })),
        (room) => void navigate(`/stores/tools/${room.tool.code}`),
        { affects: touches.tools },
    );
    return (
        <FormDialog
            title="Enter a tool"
            wide
            action="Enter it"
            ready={!Object.values(v).includes('') && !Object.values(numbers).some(Number.isNaN)}
            send={send}
            onSend={() => send.mutate({ ...v, ...numbers, code: v.code.toUpperCase() })}
            onClose={onClose}
        >
            <div className="grid grid-cols-3 gap-x-4 gap-y-3 max-[800px]:grid-cols-1">
                <Field label="Code" {...bind('code')} />
                <Field label="What it is" {...bind('title')} />
                <Field label="Kind" hint="As the cards ask for it: torque wrench, pressure gauge." {...bind('kind')} />
                <Field label="Reads in" hint="Nm, bar, mm, deg, lbf, s …" {...bind('unit')} />
                <Field label="From" inputMode="decimal" {...bind('low')} />
                <Field label="To" inputMode="decimal" {...bind('high')} />
                <Field label="Reads to" inputMode="decimal" {...bind('resolution')} />
                <Field
                    label="Uncertainty"
                    inputMode="decimal"
                    hint="In the same unit, from its certificate."
                    {...bind('uncertainty')}
                />
                <Field label="Where it lies" {...bind('place')} />
                <Field label="Checked on" type="date" {...bind('checked')} />
                <Field label="Stands until" type="date" {...bind('cal_due')} />
                <Field label="By which certificate" {...bind('paper')} />
            </div>
        </FormDialog>
    );
}
