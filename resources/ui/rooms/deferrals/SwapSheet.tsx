import { api, type Schemas, take } from '../../api/client';
import { useSend, useSwap } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Actions, Dialog } from '../../parts/Dialog';
import { Loading, Trouble } from '../../parts/Page';

/** Who could take the line, with the least change; handed to the flying programme, whose answer comes back. */
export function SwapSheet({ mark, date, onClose }: { mark: string; date: string; onClose: () => void }) {
    const swap = useSwap(mark, date);
    const send = useSend(
        (moves: Schemas['SwapMove'][], headers) =>
            take(api.POST('/api/sectors/swap', { body: { mark, date, moves }, headers })),
        onClose,
    );
    return (
        <Dialog open onClose={onClose} title={`Who could fly the lines of ${date}`} wide>
            {swap.isPending && <Loading />}
            <Trouble error={swap.error} />
            {swap.data && (
                <>
                    <p className="text-[1.1rem] font-semibold">{swap.data.sentence}</p>
                    <ul className="mt-3 space-y-1">
                        {swap.data.moves.map((m) => (
                            <li key={m.from} data-move={m.from}>
                                <b className="font-mono">{m.flights}</b>: <b className="font-mono">{m.to}</b> in place
                                of <span className="font-mono">{m.from}</span>
                            </li>
                        ))}
                        {swap.data.open.map((o) => (
                            <li key={o} className="text-rust">
                                {o}
                            </li>
                        ))}
                    </ul>
                    <Trouble error={send.error} />
                    <Actions>
                        <Button
                            kind="main"
                            big
                            disabled={!swap.data.helps || send.isPending}
                            onClick={() => send.mutate(swap.data.moves)}
                        >
                            Hand it to the flying programme
                        </Button>
                        <Button big onClick={onClose}>
                            Not now
                        </Button>
                    </Actions>
                </>
            )}
        </Dialog>
    );
}
