import type { ReactNode } from 'react';
import type { Failure } from '../../../api/client';
import { Button } from '../../../parts/Button';
import { Trouble } from '../../../parts/Page';

/** What went wrong, and the keys under a step: the one that saves it, others of its own, and the way to a finding. */
export function Keys({
    send,
    says,
    hint,
    ready,
    onSave,
    onWrong,
    children,
}: {
    send: { isPending: boolean; error: Failure | null };
    /** On the key that saves. */
    says: string;
    hint?: string;
    ready: boolean;
    onSave: () => void;
    /** Left out where nothing can be found wrong. */
    onWrong?: () => void;
    children?: ReactNode;
}) {
    return (
        <>
            <Trouble error={send.error} />
            <div className="mt-6 flex flex-wrap gap-3">
                <Button kind="main" big hint={hint} disabled={!ready || send.isPending} onClick={onSave}>
                    {says}
                </Button>
                {children}
                {onWrong && (
                    <Button big onClick={onWrong}>
                        Something is wrong
                    </Button>
                )}
            </div>
        </>
    );
}
