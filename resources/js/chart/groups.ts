import type { LadderRowData } from '@/types/data';

/** A row of the ladder, or several found levels that stand as one until they are opened. */
export interface LadderItem {
    key: string;
    /** the row that is drawn; of a group the one nearest to the last close */
    row: LadderRowData;
    /** of a group all its rows, highest first; of a single row only itself */
    rows: LadderRowData[];
    opened: boolean;
}

/**
 * The items of a ladder with room for so many rows. All found levels beyond the scale are one group at each end. While
 * there are more rows than room, found levels in a row are joined, those farthest from the last close first and no more of them
 * than needed. The chosen
 * row and what is the author's own always stand for themselves.
 *
 * @param rows   highest price first
 * @param domain prices at the lower and upper end of the scale
 * @param opened keys of the groups that are open
 */
export function groupRows(
    rows: LadderRowData[],
    domain: [number, number],
    room: number,
    chosen: string | null,
    opened: ReadonlySet<string>,
): LadderItem[] {
    const close = rows.find((row) => row.kind === 'last')?.value ?? 0;
    const joins = (row: LadderRowData): boolean => row.kind === 'found' && row.key !== chosen;
    const side = (row: LadderRowData): number => (row.value > domain[1] ? 1 : row.value < domain[0] ? -1 : 0);

    // runs of rows that may be joined: found levels on the same side of what stands for itself, and of the scale's ends
    const runs: LadderRowData[][] = [];
    for (const row of rows) {
        const before = runs.at(-1);
        const last = before?.at(-1);
        if (before !== undefined && last !== undefined && joins(row) && joins(last) && side(row) === side(last)) {
            before.push(row);
        } else {
            runs.push([row]);
        }
    }
    // of each run so many of its rows, those farthest from the last close, stand as one
    const joined = runs.map((run) => (run.length > 1 && side(run[0] as LadderRowData) !== 0 ? run.length : 0));
    const count = (): number => runs.reduce((sum, run, i) => sum + run.length - Math.max(0, (joined[i] ?? 0) - 1), 0);
    const away = (run: LadderRowData[]): number => Math.min(...run.map((row) => Math.abs(row.value - close)));
    const farthestFirst = runs.map((_, i) => i).sort((a, b) => away(runs[b] ?? []) - away(runs[a] ?? []));
    for (const i of farthestFirst) {
        const size = runs[i]?.length ?? 0;
        const over = count() - room;
        if (over <= 0) {
            break;
        }
        if (size > 1 && joined[i] === 0) {
            joined[i] = Math.min(size, over + 1);
        }
    }
    return runs.flatMap((run, i) => {
        const far = joined[i] ?? 0;
        if (far === 0) {
            return run.map(single);
        }
        return (run[0]?.value ?? 0) > close
            ? [...group(run.slice(0, far), close, opened), ...run.slice(far).map(single)]
            : [...run.slice(0, run.length - far).map(single), ...group(run.slice(run.length - far), close, opened)];
    });
}

function single(row: LadderRowData): LadderItem {
    return { key: row.key, row, rows: [row], opened: false };
}

function group(run: LadderRowData[], close: number, opened: ReadonlySet<string>): LadderItem[] {
    const near = run.reduce((best, row) => (Math.abs(row.value - close) < Math.abs(best.value - close) ? row : best));
    const key = `group-${near.key}`;
    const head = { key, row: near, rows: run, opened: opened.has(key) };
    return head.opened ? [head, ...run.map(single)] : [head];
}
