import { Pick } from './Pick';

/** What the tag on a unit may say that is not fitted, the usual first. */
const tags = [
    ['unserviceable', 'unserviceable'],
    ['time_expired', 'time expired'],
    ['suspect', 'to be looked into'],
    ['serviceable', 'serviceable'],
] as const;

export type UnitTag = (typeof tags)[number][0];

/** The tag that goes on a unit; nothing is chosen for whoever hangs it there. */
export function TagPick({ tag, onTag }: { tag: UnitTag | ''; onTag: (tag: UnitTag | '') => void }) {
    return (
        <Pick label="Its tag" name="tag" big value={tag} onChange={(v) => onTag(v as UnitTag | '')}>
            <option value="">choose one</option>
            {tags.map(([value, name]) => (
                <option key={value} value={value}>
                    {name}
                </option>
            ))}
        </Pick>
    );
}
