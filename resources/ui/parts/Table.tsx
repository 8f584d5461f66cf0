import {
    type ColumnDef,
    flexRender,
    getCoreRowModel,
    getFilteredRowModel,
    getSortedRowModel,
    type SortingState,
    useReactTable,
    type VisibilityState,
} from '@tanstack/react-table';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, useState } from 'react';
import { Button } from './Button';

export type Column<T> = ColumnDef<T> & { header: string };

const quote = (v: unknown): string => {
    const s = v === null || v === undefined ? '' : String(v);
    return /[",\r\n]/.test(s) ? `"${s.replaceAll('"', '""')}"` : s;
};

/** RFC 4180: a head, CRLF, quotes only where needed. */
export const csv = (head: string[], rows: unknown[][]): string =>
    `${[head, ...rows].map((r) => r.map(quote).join(',')).join('\r\n')}\r\n`;

/** From how many rows on only those in sight are drawn; on paper all are. */
const MANY = 120;

/** True while the page is being printed. */
function usePrinting(): boolean {
    const [printing, setPrinting] = useState(false);
    useEffect(() => {
        const before = () => setPrinting(true);
        const after = () => setPrinting(false);
        window.addEventListener('beforeprint', before);
        window.addEventListener('afterprint', after);
        return () => {
            window.removeEventListener('beforeprint', before);
            window.removeEventListener('afterprint', after);
        };
    }, []);
    return printing;
}

/** A real table: sticky head, sorting, filter, choice of columns, CSV; rows are drawn as they come into sight. */
export function Table<T>({
    name,
    rows,
    columns,
    empty,
    file,
}: {
    name: string;
    rows: T[];
    columns: Column<T>[];
    empty: string;
    file?: string;
}) {
    const [sorting, setSorting] = useState<SortingState>([]);
    const [filter, setFilter] = useState('');
    const [columnVisibility, setVisibility] = useState<VisibilityState>({});
    const table = useReactTable({
        data: rows,
        columns,
        state: { sorting, globalFilter: filter, columnVisibility },
        onSortingChange: setSorting,
        onGlobalFilterChange: setFilter,
        onColumnVisibilityChange: setVisibility,
        getCoreRowModel: getCoreRowModel(),
        getSortedRowModel: getSortedRowModel(),
        getFilteredRowModel: getFilteredRowModel(),
    });
    const save = () => {
        const visible = table.getVisibleLeafColumns();
        const text = csv(
            visible.map((c) => String(c.columnDef.header)),
            table.getRowModel().rows.map((r) => visible.map((c) => r.getValue(c.id))),
        );
        const link = document.createElement('a');
        link.href = URL.createObjectURL(new Blob([text], { type: 'text/csv' }));
        link.download = `${name}.csv`;
        link.click();
    };
    const shown = table.getRowModel().rows;
    const body = useRef<HTMLTableSectionElement>(null);
    const printing = usePrinting();
    const virtual = useWindowVirtualizer({
        count: shown.length,
        estimateSize: () => 37,
        overscan: 30,
        scrollMargin: body.current ? body.current.getBoundingClientRect().top + window.scrollY : 0,
    });
    const some = shown.length > MANY && !printing;
    const seen = some ? virtual.getVirtualItems().map((v) => shown[v.index]) : shown;
    const above = some ? (virtual.getVirtualItems()[0]?.start ?? 0) - virtual.options.scrollMargin : 0;
    const below = some
        ? virtual.getTotalSize() - (virtual.getVirtualItems().at(-1)?.end ?? 0) + virtual.options.scrollMargin
        : 0;
    if (rows.length === 0) {
        return <p className="py-4 text-soft">{empty}</p>;
    }
    return (
        <div>
            <div className="noprint mb-1 flex flex-wrap items-center gap-2">
                <input
                    value={filter}
                    onChange={(e) => setFilter(e.target.value)}
                    placeholder="Filter"
                    aria-label={`Filter ${name}`}
                    className="h-8 w-44 rounded-md border border-rule bg-sheet px-2 placeholder:text-soft"
                />
                <details className="relative">
                    <summary className="cursor-pointer px-1 text-sm underline underline-offset-4">Columns</summary>
                    <div className="absolute z-20 mt-1 w-48 rounded-lg border border-rule bg-sheet p-2">
                        {table.getAllLeafColumns().map((c) => (
                            <label key={c.id} className="flex items-center gap-2 py-0.5">
                                <input
                                    type="checkbox"
                                    checked={c.getIsVisible()}
                                    onChange={c.getToggleVisibilityHandler()}
                                />
                                {String(c.columnDef.header)}
                            </label>
                        ))}
                    </div>
                </details>
                {file ? (
                    <a href={file} download className="px-3.5 text-sm underline underline-offset-4">
                        CSV
                    </a>
                ) : (
                    <Button kind="quiet" className="text-sm" onClick={save}>
                        CSV
                    </Button>
                )}
                <span className="text-sm text-soft">
                    {shown.length} of {rows.length}
                </span>
            </div>
            <div className="overflow-x-auto">
                <table className="w-full border-collapse text-left">
                    <thead className="sticky top-0 z-10 bg-paper">
                        {table.getHeaderGroups().map((g) => (
                            <tr key={g.id}>
                                {g.headers.map((h) => (
                                    <th
                                        key={h.id}
                                        className="border-b border-rule px-2 py-1.5 text-sm font-semibold whitespace-nowrap text-soft"
                                        aria-sort={
                                            h.column.getIsSorted() === 'asc'
                                                ? 'ascending'
                                                : h.column.getIsSorted() === 'desc'
                                                  ? 'descending'
                                                  : 'none'
                                        }
                                    >
                                        <button
                                            type="button"
                                            onClick={h.column.getToggleSortingHandler()}
                                            className="font-semibold"
                                        >
                                            {flexRender(h.column.columnDef.header, h.getContext())}
                                            {{ asc: ' ↑', desc: ' ↓' }[String(h.column.getIsSorted())] ?? ''}
                                        </button>
                                    </th>
                                ))}
                            </tr>
                        ))}
                    </thead>
                    <tbody ref={body}>
                        {above > 0 && <tr style={{ height: above }} />}
                        {seen.map(
                            (r) =>
                                r && (
                                    <tr key={r.id} className="border-b border-rule/60 align-top hover:bg-sheet">
                                        {r.getVisibleCells().map((c) => (
                                            <td key={c.id} className="px-2 py-2">
                                                {flexRender(c.column.columnDef.cell, c.getContext())}
                                            </td>
                                        ))}
                                    </tr>
                                ),
                        )}
                        {below > 0 && <tr style={{ height: below }} />}
                    </tbody>
                </table>
            </div>
        </div>
    );
}
