import { describe, expect, it } from 'vitest';
import type { ChartData, PaneData } from '@/types/data';
import { barScale, lastBars, dateMarks, near, priceScale, rTicks } from './scales';
import { paneFigure, panesHeight, placePanes } from './panes';
import { averagePath, candles, paneBars } from './shapes';
import { spread } from './spread';

const chart: ChartData = {
    timeFrame: '1d',
    times: [],
    decimals: 2,
    sessions: ['2026-09-29', '2026-09-30', '2026-10-01', '2026-10-02'],
    open: [10, 11, 12, 11],
    high: [11, 12.5, 13, 12],
    low: [9, 10.5, 11, 10.5],
    close: [11, 12, 11.5, 11],
    volume: [100, 400, 0, 200],
    averages: [],
    extended: [],
    panes: [],
    marks: [],
    unfinished: false,
    publishedAfter: null,
};

describe('spread', () => {
    it('leaves rows alone that do not touch', () => {
        expect(spread([20, 60, 100], 20, 0, 200)).toEqual([20, 60, 100]);
    });

    it('pushes rows apart about the mean of their places, in their order', () => {
        expect(spread([50, 50, 50], 20, 0, 200)).toEqual([30, 50, 70]);
        expect(spread([50, 60], 20, 0, 200)).toEqual([45, 65]);
    });

    it('joins blocks that collide when they grow', () => {
        const places = spread([40, 42, 60, 62], 20, 0, 200);
        expect(places.every((place, i) => i === 0 || place - (places[i - 1] ?? 0) >= 20 - 1e-9)).toBe(true);
        expect(places.reduce((a, b) => a + b) / 4).toBeCloseTo(51);
    });

    it('keeps rows between top and bottom', () => {
        expect(spread([-50, 2, 300], 20, 0, 200)).toEqual([10, 30, 190]);
    });

    it('never lets many random rows overlap', () => {
        for (let seed = 1; seed < 60; seed++) {
            const wanted = Array.from({ length: 24 }, (_, i) => (Math.sin(seed * 12.9898 + i * 78.233) * 0.5 + 0.5) * 600).sort(
                (a, b) => a - b,
            );
            const places = spread(wanted, 22, 0, 600);
            places.forEach((place, i) => {
                expect(place).toBeGreaterThanOrEqual(11 - 1e-6);
                expect(place).toBeLessThanOrEqual(589 + 1e-6);
                if (i > 0) expect(place - (places[i - 1] ?? 0)).toBeGreaterThanOrEqual(22 - 1e-6);
            });
        }
    });
});

describe('scales', () => {
    it('shows the last bars and no more than there are', () => {
        expect(lastBars(chart, 2)).toEqual({ first: 2, last: 3 });
        expect(lastBars(chart, 99)).toEqual({ first: 0, last: 3 });
    });

    it('covers the bars of the window and the prices asked for, high above low', () => {
        const y = priceScale(chart, { first: 0, last: 3 }, [8, 14], 300);
        expect(y.domain()[0]).toBeLessThan(8);
        expect(y.domain()[1]).toBeGreaterThan(14);
        expect(y(14)).toBeLessThan(y(8));
    });

    it('leaves out prices too far away to be drawn', () => {
        expect(near(chart, { first: 0, last: 3 }, [12, 14, 40])).toEqual([12, 14]);
    });

    it('puts whole R marks where the price scale has them', () => {
        const y = priceScale(chart, { first: 0, last: 3 }, [], 300);
        expect(rTicks(y, 11, 10).map((mark) => [mark.r, mark.price])).toEqual([
            [-2, 9],
            [-1, 10],
            [0, 11],
            [1, 12],
            [2, 13],
        ]);
        // when they stand too close, every second one and the stop
        const tight = priceScale(chart, { first: 0, last: 3 }, [], 180);
        expect(rTicks(tight, 11, 10.5).map((mark) => mark.r)).toEqual([-4, -1, 0, 2, 4]);
        // a short's R grows downward
        expect(rTicks(y, 11, 12).map((mark) => [mark.r, mark.price])).toContainEqual([1, 10]);
    });

    it('labels each session on bars within sessions, and each year on the longest', () => {
        const hours: ChartData = {
            ...chart,
            timeFrame: '1h',
            times: ['09:30', '10:30', '09:30', '10:30'],
            sessions: ['2026-09-30', '2026-09-30', '2026-10-01', '2026-10-01'],
        };
        expect(dateMarks(hours, { first: 0, last: 3 }, 50)).toEqual([{ index: 2, label: '1 Oct' }]);
        const quarters: ChartData = {
            ...chart,
            timeFrame: '3mo',
            sessions: ['2025-07-01', '2025-10-01', '2026-01-02', '2026-04-01'],
        };
        expect(dateMarks(quarters, { first: 0, last: 3 }, 50)).toEqual([{ index: 2, label: '2026' }]);
    });

    it('names the year again when it changes between two labels', () => {
        const weeks: ChartData = {
            ...chart,
            timeFrame: '1w',
            sessions: ['2025-11-24', '2025-12-01', '2025-12-29', '2026-01-05', '2026-02-02'],
        };
        expect(dateMarks(weeks, { first: 0, last: 4 }, 15).map((mark) => mark.label)).toEqual(['Dec 2025', 'Feb 2026']);
    });

    it('labels the first session of a month', () => {
        expect(dateMarks(chart, { first: 0, last: 3 }, 20)).toEqual([{ index: 2, label: 'Oct 2026' }]);
    });
});

describe('shapes', () => {
    const window = { first: 0, last: 3 };
    const { x, slot } = barScale(window, 254);
    const y = priceScale(chart, window, [], 300);

    it('draws rising candles hollow and falling ones filled', () => {
        expect(candles(chart, window, x, y, slot).map((candle) => candle.rising)).toEqual([true, true, false, true]);
    });

    it('begins an average where it is defined', () => {
        expect(averagePath([null, null, 11, 12], window, x, y)).toMatch(/^M120,[\d.]+L160,[\d.]+$/);
        expect(averagePath([null, null, null, null], window, x, y)).toBe('');
    });

    it('draws bars of a pane from zero, on both sides of it', () => {
        const zero = (value: number): number => 50 - value;
        expect(paneBars([10, -20, null, 0], window, x, zero, slot).match(/M[\d.]+,50V([\d.]+)/g)).toEqual([
            'M28,50V40',
            'M68,50V70',
            'M148,50V50',
        ]);
    });
});

describe('panes', () => {
    const line = (values: (number | null)[]) => ({ name: 'x', values, bars: false });
    const pane = (kind: PaneData['kind'], change: Partial<PaneData> = {}): PaneData => ({
        kind,
        label: kind,
        lines: [line([null, 40, 60, 50])],
        guides: [],
        low: null,
        high: null,
        decimals: 1,
        note: '',
        ...change,
    });
    const window = { first: 0, last: 3 };

    it('stand one below the other and take the room they need', () => {
        const both = { ...chart, panes: [pane('volume'), pane('rsi', { low: 0, high: 100, guides: [30, 70] })] };
        const placed = placePanes(both, window, 300);
        expect(placed.map((one) => one.top)).toEqual([300, 300 + (placed[0]?.height ?? 0)]);
        expect(panesHeight(both)).toBe((placed[0]?.height ?? 0) + (placed[1]?.height ?? 0));
        expect(placed[1]?.y(100)).toBeLessThan(placed[1]?.y(0) ?? 0);
        expect(placed[1]?.ticks).toEqual([30, 70]);
    });

    it('take the scale of what is seen where none is fixed', () => {
        const one = placePanes({ ...chart, panes: [pane('ratio')] }, { first: 1, last: 2 }, 0)[0];
        expect(one?.ticks).toEqual([40, 60]);
        expect(placePanes({ ...chart, panes: [pane('ratio', { lines: [] })] }, window, 0)[0]?.ticks).toEqual([0, 1]);
    });

    it('tell a figure with a real minus, and nothing where there is none', () => {
        expect([paneFigure(-1.25, 2), paneFigure(null, 2), paneFigure(12345, 0)]).toEqual(['−1.25', '–', '12,345']);
    });
});
