import { describe, expect, it } from 'vitest';
import type { ChartData, LadderRowData } from '@/types/data';
import { groupRows } from './groups';
import { nearest, shownRows } from './layers';
import { onBars } from './lines';
import { measured } from './measure';
import { priceScale } from './scales';
import { snapTo } from './snap';

const row = (key: string, value: number, more: Partial<LadderRowData> = {}): LadderRowData =>
    ({ key, kind: 'found', layer: 'marks', value, low: value, high: value, ...more }) as LadderRowData;
const own = (key: string, value: number): LadderRowData => row(key, value, { kind: 'level', layer: 'own' });
const last = row('last', 50, { kind: 'last', layer: null });

const chart = (sessions: string[], more: Partial<ChartData> = {}): ChartData =>
    ({
        timeFrame: '1d',
        times: [],
        decimals: 2,
        sessions,
        open: sessions.map(() => 10),
        high: sessions.map((_, i) => 12 + i),
        low: sessions.map((_, i) => 8 - i),
        close: sessions.map(() => 11),
        volume: [],
        averages: [],
        extended: [],
        panes: [],
        marks: [],
        unfinished: false,
        publishedAfter: null,
        ...more,
    }) as ChartData;

describe('layers', () => {
    const rows = [
        own('a', 60),
        own('b', 58),
        own('c', 56),
        row('target', 55, { kind: 'target', layer: null }),
        row('f', 53),
        last,
        row('p', 48, { layer: 'pivots' }),
        own('d', 47),
    ];

    it('hides what is switched off, never the plan', () => {
        expect(shownRows(rows, ['pivots'], false).map((one) => one.key)).toEqual(['target', 'last', 'p']);
    });

    it('leaves on a clean chart the plan and the nearest own levels', () => {
        expect(shownRows(rows, ['own', 'marks'], true).map((one) => one.key)).toEqual(['b', 'c', 'target', 'last', 'd']);
    });

    it('finds the next level on each side, a zone by its nearer edge', () => {
        const zone = row('zone', 50, { low: 49, high: 51 });
        expect(nearest([...rows.slice(0, 5), zone, ...rows.slice(5)])).toMatchObject({
            above: { key: 'f' },
            below: { key: 'p' },
        });
        expect(nearest([last])).toEqual({ above: null, below: null });
    });
});

describe('groups of the ladder', () => {
    const many = (from: number, step: number, count: number): LadderRowData[] =>
        Array.from({ length: count }, (_, i) => row(`f${from - i * step}`, from - i * step));
    const keys = (rows: LadderRowData[], room: number, chosen: string | null = null, opened: string[] = []): string[] =>
        groupRows(rows, [40, 60], room, chosen, new Set(opened)).map((item) =>
            item.rows.length > 1 ? `${item.key}×${item.rows.length}` : item.key,
        );

    it('joins nothing while there is room', () => {
        expect(keys([own('a', 55), ...many(54, 1, 3), last], 10)).toEqual(['a', 'f54', 'f53', 'f52', 'last']);
    });

    it('joins the run farthest from price first, and no more than needed', () => {
        const rows = [...many(59, 1, 3), own('a', 55), ...many(54, 1, 2), last, ...many(49, 1, 2)];
        expect(keys(rows, 7)).toEqual(['group-f57×3', 'a', 'f54', 'f53', 'last', 'f49', 'f48']);
        expect(keys(rows, 8)).toEqual(['group-f58×2', 'f57', 'a', 'f54', 'f53', 'last', 'f49', 'f48']);
        expect(keys(rows, 3)).toEqual(['group-f57×3', 'a', 'group-f53×2', 'last', 'group-f49×2']);
    });

    it('never joins what is chosen or one’s own', () => {
        const rows = [...many(59, 1, 5), own('a', 50.5), own('b', 50.2), last];
        expect(keys(rows, 2, 'f57')).toEqual(['group-f58×2', 'f57', 'group-f55×2', 'a', 'b', 'last']);
    });

    it('joins what lies beyond the scale, however much room there is', () => {
        const rows = [row('x', 90), row('y', 80), ...many(59, 1, 2), last, row('z', 20)];
        expect(keys(rows, 50)).toEqual(['group-y×2', 'f59', 'f58', 'last', 'z']);
        expect(keys(rows, 50, null, ['group-y'])).toEqual(['group-y×2', 'x', 'y', 'f59', 'f58', 'last', 'z']);
    });
});

describe('marks', () => {
    const bars = chart(['2026-10-05', '2026-10-06', '2026-10-07', '2026-10-08', '2026-10-09']);
    const window = { first: 0, last: 4 };
    const y = priceScale(bars, window, [], 400);

    it('snap to the high, low or close near the pointer', () => {
        expect(snapTo(bars, window, y, 2, y(14) + 3)).toMatchObject({ index: 2, what: 'high', value: 14 });
        expect(snapTo(bars, window, y, 2, y(6) - 3)).toMatchObject({ index: 2, what: 'low', value: 6 });
        expect(snapTo(bars, window, y, 2, y(11))).toMatchObject({ what: 'close', value: 11 });
        expect(snapTo(bars, window, y, 2, y(14) + 12)).toBeNull();
    });

    it('are measured in price, percent, range, bars and R', () => {
        const from = { index: 3, value: 40 };
        expect(measured(from, { index: 8, value: 42 }, 2, 1.6, { entry: 41, stop: 40 })).toEqual([
            '+2.00',
            '+5.00 %',
            '+1.3 ATR',
            '5 bars',
            '+2.00 R',
        ]);
        expect(measured(from, { index: 3, value: 39 }, 2, null, { entry: 40, stop: 42 })).toEqual([
            '−1.00',
            '−2.50 %',
            '+0.50 R',
        ]);
    });
});

describe('a curve on the bars of a chart', () => {
    const sessions = ['2026-09-28', '2026-09-30', '2026-10-01', '2026-10-02', '2026-10-05', '2026-10-06'];
    const values = [null, 1, 2, 3, 4, 5];

    it('stands at each day, and at the next one', () => {
        expect(onBars(chart(['2026-10-01', '2026-10-02', '2026-10-05']), sessions, values)).toEqual([2, 3, 4, 5]);
    });

    it('stands at the last session of a longer bar', () => {
        expect(onBars(chart(['2026-09-28', '2026-10-05'], { timeFrame: '1w' }), sessions, values)).toEqual([3, 4, 5]);
        expect(onBars(chart(['2026-09-01', '2026-10-01'], { timeFrame: '1mo' }), sessions, values)).toEqual([1, 4, 5]);
    });

    it('is the same within a session, and nothing before it begins', () => {
        const times = ['09:30', '10:30', '09:30'];
        const hours = chart(['2026-10-02', '2026-10-02', '2026-10-05'], { timeFrame: '1h', times });
        expect(onBars(hours, sessions, values)).toEqual([3, 3, 4, 5]);
        expect(onBars(chart(['2026-09-25', '2026-09-28']), sessions, values)).toEqual([null, 4, 5]);
    });
});

describe('a logarithmic scale', () => {
    const bars = chart(['2026-10-05', '2026-10-06']);
    const y = priceScale(bars, { first: 0, last: 1 }, [], 400, { log: true, held: [10, 1000] });

    it('gives equal changes in percent equal room, with round marks', () => {
        expect(y(10) - y(100)).toBeCloseTo(y(100) - y(1000));
        expect(y.invert(y(42))).toBeCloseTo(42);
        expect(y.ticks(5)).toContain(200);
        expect(y.domain()).toEqual([10, 1000]);
    });
});
