import type { ReactNode } from 'react';
import { useWaiting } from '../../api/useQueue';
import { Caution } from '../../parts/Page';
import { State } from '../../parts/State';
import { RigSheet } from '../bench/rigging/RigSheet';
import { AboutStep } from './AboutStep';
import { Causes } from './Causes';
import { Fixes } from './Fixes';
import { NotForThis } from './NotApplicable';
import { Second } from './Second';
import { StepMore } from './StepMore';
import { AnswerStep } from './steps/Answer';
import { AttemptStep } from './steps/Attempt';
import { CircuitStep } from './steps/Circuit';
import { CompareStep } from './steps/Compare';
import { ConfirmStep } from './steps/Confirm';
import { ConsumableStep } from './steps/Consumable';
import { CountStep } from './steps/Count';
import { DoneStep } from './steps/Done';
import { ExchangeStep } from './steps/Exchange';
import { HoldStep } from './steps/Hold';
import { IndicationStep } from './steps/Indication';
import { InspectionStep } from './steps/Inspection';
import { LeakStep } from './steps/Leak';
import { MarkStep } from './steps/Mark';
import { MeetStep } from './steps/Meet';
import { PartStep } from './steps/Part';
import { PrechargeStep } from './steps/Precharge';
import { ReadStep } from './steps/Read';
import { ReferenceStep } from './steps/Reference';
import { RollCallStep } from './steps/RollCall';
import { SelfTestStep } from './steps/SelfTest';
import { SequenceStep } from './steps/Sequence';
import { SheetStep } from './steps/Sheet';
import { StabiliseStep } from './steps/Stabilise';
import { TestStep } from './steps/Test';
import { TimingStep } from './steps/Timing';
import { ToolStep } from './steps/Tool';
import { TransitionStep } from './steps/Transition';
import { VerdictStep } from './steps/Verdict';
import { TestBanner } from './TestBanner';
import type { StepProps } from './useStep';

const controls: Record<string, (props: StepProps) => ReactNode> = {
    measurement: ReadStep,
    torque: ReadStep,
    timing: TimingStep,
    count: CountStep,
    hold: HoldStep,
    compare: CompareStep,
    part: PartStep,
    exchange: ExchangeStep,
    consumable: ConsumableStep,
    tool: ToolStep,
    rollcall: RollCallStep,
    test: TestStep,
    rig: RigSheet,
    answer: AnswerStep,
    circuit: CircuitStep,
    mark: MarkStep,
    meet: MeetStep,
    attempt: AttemptStep,
    verdict: VerdictStep,
    sheet: SheetStep,
    stabilise: StabiliseStep,
    reference: ReferenceStep,
    transition: TransitionStep,
    sequence: SequenceStep,
    indication: IndicationStep,
    precharge: PrechargeStep,
    leak: LeakStep,
    selftest: SelfTestStep,
};

/** The step in hand, with the control its kind needs. */
export function StepWork(props: StepProps) {
    const { card, step, may } = props;
    const mine = useWaiting()
        .filter((w) => w.what === 'step')
        .filter((w) => w.card === card.id);
    const here = mine.find((w) => w.no === step.no);
    // What comes first and waits on this device is worked, as far as this device knows.
    const before = card.steps.filter((s) => s.no < step.no && s.state === 'open' && s.kind !== 'finding_prompt');
    const free = step.held === null || (mine.length > 0 && before.every((s) => mine.some((w) => w.no === s.no)));
    const Control = controls[step.kind] ?? ConfirmStep;
    const each = step.spec.each as { title: string; position: string; n: number; of: number } | undefined;
    const body = (): ReactNode => {
        if (here) {
            return (
                <p className="mt-4 rounded-lg border-2 border-dashed border-slate p-3" data-testid="waits-here">
                    <State state="waiting" word="Waiting" /> on this device
                    {here.body.entry ? (
                        <>
                            : <b className="font-mono">{here.body.entry}</b>
                        </>
                    ) : (
                        ''
                    )}
                    . It is sent, once, when the connection is back; the verdict comes then.
                </p>
            );
        }
        if (step.state !== 'open') {
            return (
                <>
                    <DoneStep {...props} />
                    {step.kind === 'rollcall' && <RollCallStep {...props} />}
                </>
            );
        }
        if (step.kind === 'inspection') {
            return <InspectionStep {...props} />;
        }
        // Whoever stands at a place answers a roll-call on a device of their own.
        if (step.kind === 'rollcall' && !may && step.holds.length === 0) {
            return <RollCallStep {...props} />;
        }
        if (!may) {
            return (
                <p className="mt-4 text-soft">
                    {card.held || card.workWhy || card.underway.length > 0
                        ? ''
                        : card.state === 'signed' || card.state === 'closed'
                          ? 'The card is signed.'
                          : card.handover !== null && card.handover.takenBy === null
                            ? 'Handed over: take it over first.'
                            : 'Only somebody assigned to this card can work it.'}
                </p>
            );
        }
        if (step.notFor !== null) {
            return <NotForThis {...props} />;
        }
        return step.holds.length > 0 ? null : <Control {...props} />;
    };
    return (
        <div className="mt-2" data-testid={`step-${step.no}`}>
            <Fixes card={card} />
            <TestBanner {...props} />
            {each !== undefined && (
                <p className="mt-2 text-[1.05rem] font-semibold" data-testid="position">
                    {each.title}: {each.position}{' '}
                    <span className="font-normal text-soft">
                        ({each.n} of {each.of})
                    </span>
                </p>
            )}
            {step.kind === 'caution' ? (
                <div className="mt-4 text-[1.15rem]">
                    <Caution level={(step.spec.level as 'warning' | 'caution') ?? 'caution'} title={step.title} heads>
                        {step.text}
                    </Caution>
                </div>
            ) : (
                <>
                    <h1 className="text-[1.6rem] leading-tight font-semibold">{step.title}</h1>
                    <p className="mt-1 text-[1.05rem] text-soft">{step.text}</p>
                </>
            )}
            <AboutStep card={card} step={step} />
            <Second card={card} step={step} />
            {step.acts && step.state === 'open' && (
                <p className="mt-2">
                    This step <b>{step.acts}</b>.
                </p>
            )}
            {!free && step.state === 'open' && (
                <p className="mt-4 rounded-lg border-2 border-dashed border-slate p-3">
                    <State state="waiting" word="Held." /> {step.held}
                </p>
            )}
            {step.holds.length > 0 && free && <Held step={step} />}
            {(free || step.state !== 'open') && body()}
            <StepMore {...props} />
        </div>
    );
}

/** Who and what says no, each with the way to it; nothing overrides it. */
function Held({ step }: { step: StepProps['step'] }) {
    return (
        <section
            className="mt-5 rounded-lg border-2 border-rust bg-rust-wash p-4"
            aria-label="What holds this step"
            data-testid="holds"
        >
            <p className="text-[1.1rem] font-semibold">
                <State state="stop" word="Held" /> until {step.holds.length === 1 ? 'this is' : 'these are'} gone.
                Nothing overrides it.
            </p>
            <Causes causes={step.holds} />
        </section>
    );
}
