import { Field } from './Field';

export type Signed = { stamp: string; pin: string };

export const unsigned: Signed = { stamp: '', pin: '' };

export const isSigned = (s: Signed) => s.stamp !== '' && s.pin !== '';

/** What a signature is given with, each time anew. */
export function StampAndPin({
    signed,
    onSigned,
    first = false,
}: {
    signed: Signed;
    onSigned: (s: Signed) => void;
    first?: boolean;
}) {
    return (
        <div className="grid grid-cols-2 gap-3">
            <Field
                label="Stamp"
                name="stamp"
                autoFocus={first}
                autoComplete="off"
                value={signed.stamp}
                onChange={(e) => onSigned({ ...signed, stamp: e.target.value })}
            />
            <Field
                label="PIN"
                name="pin"
                type="password"
                inputMode="numeric"
                autoComplete="off"
                value={signed.pin}
                onChange={(e) => onSigned({ ...signed, pin: e.target.value })}
            />
        </div>
    );
}
