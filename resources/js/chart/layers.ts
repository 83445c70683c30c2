import type { LadderRowData, LevelLayer } from '@/types/data';

/** The layers of the chart and the ladder, each with its key. */
export const LAYERS: { value: LevelLayer; label: string; name: string; key: string }[] = [
    { value: 'own', label: 'Own', name: 'own levels', key: 'O' },
    { value: 'check', label: 'Found', name: 'zones and lines of the cross-check', key: 'X' },
    { value: 'joined', label: 'Joined', name: 'found levels of different kinds that lie together', key: 'J' },
    { value: 'marks', label: 'Periods', name: 'marks of past periods', key: 'P' },
    { value: 'gaps', label: 'Gaps', name: 'gaps', key: 'G' },
    { value: 'pivots', label: 'Pivots', name: 'pivot points', key: 'I' },
    { value: 'ratios', label: 'Ratios', name: 'retracements and projections', key: 'R' },
    { value: 'averages', label: 'Averages', name: 'averages and cloud edges', key: 'A' },
    { value: 'vwap', label: 'VWAP', name: 'VWAP of the session', key: 'V' },
    { value: 'rounds', label: 'Round', name: 'round numbers and the expected range', key: 'N' },
];

/** How many own levels on each side of price a clean chart keeps. */
const NEAREST = 2;

/** The rows of the layers that are shown; on a clean chart only the plan, the last close and the nearest own levels. */
export function shownRows(rows: LadderRowData[], layers: LevelLayer[], clean: boolean): LadderRowData[] {
    if (!clean) {
        return rows.filter((row) => row.layer === null || layers.includes(row.layer));
    }
    const close = rows.find((row) => row.kind === 'last')?.value ?? 0;
    const own = rows.filter((row) => row.kind === 'level');
    const kept = new Set(
        [
            ...own.filter((row) => row.value > close).slice(-NEAREST),
            ...own.filter((row) => row.value <= close).slice(0, NEAREST),
        ].map((row) => row.key),
    );
    return rows.filter((row) => row.layer === null || kept.has(row.key));
}

/** The nearest levels above and below the last close, of those that are shown. */
export function nearest(rows: LadderRowData[]): { above: LadderRowData | null; below: LadderRowData | null } {
    const close = rows.find((row) => row.kind === 'last')?.value;
    const levels = rows.filter((row) => row.layer !== null && row.layer !== 'averages' && row.layer !== 'vwap');
    return {
        above: close === undefined ? null : (levels.filter((row) => row.low > close).at(-1) ?? null),
        below: close === undefined ? null : (levels.find((row) => row.high < close) ?? null),
    };
}
