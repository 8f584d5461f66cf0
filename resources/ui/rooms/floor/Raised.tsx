import { Link } from 'react-router';
import type { Failure, Schemas } from '../../api/client';
import { useFinding } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { Trouble } from '../../parts/Page';
import { Glyph } from '../../parts/State';

type Props = { raised: Schemas['FindingView']; trouble: Failure | null; onClose: () => void };

/** A finding was just raised: whether it was found there before, what follows, and the way to it. */
export function Raised({ raised, trouble, onClose }: Props) {
    return (
        <Dialog open onClose={onClose} title={`${raised.number} is raised`}>
            {raised.repeat && (
                <p className="rounded-lg border-2 border-ochre bg-ochre-wash p-3" data-testid="repeat">
                    <Glyph state="watch" /> <b>Found there before:</b> {raised.repeat}
                </p>
            )}
            <Trouble error={trouble} />
            <Following id={raised.id} />
            <div className="mt-4 flex gap-3">
                <Link
                    to={`/floor/findings/${raised.id}`}
                    className="inline-flex min-h-14 items-center rounded-lg border border-spruce bg-spruce px-5 font-semibold text-on-spruce"
                >
                    To the finding
                </Link>
                <Button big onClick={onClose}>
                    Back to the card
                </Button>
            </div>
        </Dialog>
    );
}

/** What the rules of Library open from a finding that was just raised. */
function Following({ id }: { id: number }) {
    const follows = useFinding(id).data?.follows ?? [];
    return follows.length === 0 ? null : (
        <div className="mt-3" data-testid="following">
            <b>What follows from it</b>
            <ul className="mt-1 space-y-1">
                {follows.map((u) => (
                    <li key={u.id}>
                        <span className="text-soft">{u.name}:</span> {u.text}
                    </li>
                ))}
            </ul>
        </div>
    );
}
