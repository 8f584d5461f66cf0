import type { Schemas } from '../../api/client';
import { useBeside } from '../../api/hooks';

/** What the points of a step read before, by point. */
export function useBefore(
    card: Schemas['CardView'],
    step: Schemas['StepView'],
): Record<string, Schemas['BesideView'] | undefined> {
    const { data } = useBeside(card.id, step.no);
    return Object.fromEntries((data ?? []).map((b) => [b.point, b]));
}

/** One line: the last ones here, a sister's, what the fleet's lie between. */
export function ReadBefore({ of }: { of: Schemas['BesideView'] | undefined }) {
    const parts = [of?.here && `here ${of.here}`, of?.sister, of?.fleet && `fleet ${of.fleet}`].filter(Boolean);
    return parts.length === 0 ? null : (
        <span className="block text-sm text-soft" data-testid="beside">
            Before: {parts.join('; ')}
        </span>
    );
}

/** A legal reading that is far from what was read there before. */
export function Strange({ preview }: { preview: Schemas['Preview'] | null }) {
    return preview === null || preview.strange === '' ? null : (
        <b className="block text-sm text-ochre" data-testid="strange">
            {preview.strange}
        </b>
    );
}
