import { Link } from 'react-router';
import type { Column } from '../../parts/Table';

/** The code of an item, by which it is opened where it may be edited. */
export const codeColumn = <R extends { code: string }>(onEdit: ((row: R) => void) | null): Column<R> => ({
    id: 'code',
    header: 'Item',
    accessorFn: (row) => row.code,
    cell: ({ row }) =>
        onEdit ? (
            <button
                type="button"
                className="font-mono font-semibold whitespace-nowrap underline underline-offset-4"
                onClick={() => onEdit(row.original)}
            >
                {row.original.code}
            </button>
        ) : (
            <span className="font-mono whitespace-nowrap">{row.original.code}</span>
        ),
});

/** Where a type's list stands: Library, the type, and what the list is. */
export function OverList({ type, what }: { type: string; what: string }) {
    return (
        <>
            <Link to="/library" className="noprint underline underline-offset-4">
                Library
            </Link>{' '}
            · <b className="font-mono text-ink">{type}</b> · {what}
        </>
    );
}

/** The list as files that can be brought in again. */
export function Files({ at }: { at: string }) {
    return ['json', 'csv'].map((form) => (
        <a
            key={form}
            className="self-center underline underline-offset-4"
            href={`/api/library/${at}/file.${form}`}
            download
        >
            {form.toUpperCase()}
        </a>
    ));
}
