import { extent } from 'd3-array';
import { scaleLinear, scaleLog } from 'd3-scale';
import type { ChartData } from '@/types/data';

/** Height of the date axis, in pixels. */
export const DATE_AXIS = 20;

/** From prices to pixels and back. */
export interface PriceScale {
    (price: number): number;
    invert(pixel: number): number;
    ticks(count: number): number[];
    domain(): number[];
}

/** A run of bars, first to last, both included. */
export interface Window {
    first: number;
    last: number;
}

/** The last bars of a chart. */
export function lastBars(chart: ChartData, count: number): Window {
    const last = chart.sessions.length - 1;
    return { first: Math.max(0, last - count + 1), last };
}

export interface ScaleOptions {
    /** share of the height kept free below the prices, for marks */
    below?: number;
    padding?: number;
    /** whether equal distances are equal changes in percent */
    log?: boolean;
    /** prices at its ends, while it is held; null: it follows the bars */
    held?: [number, number] | null;
}

/** The price scale: the bars of the window and the prices that must be seen, with some air. */
export function priceScale(
    chart: ChartData,
    window: Window,
    prices: number[],
    height: number,
    { below = 0.05, padding = 12, log = false, held = null }: ScaleOptions = {},
): PriceScale {
    const range: [number, number] = [height * (1 - below), padding];
    return log
        ? logScale(held ?? ends(chart, window, prices, true), range)
        : scaleLinear(held ?? ends(chart, window, prices, false), range);
}

function ends(chart: ChartData, window: Window, prices: number[], log: boolean): [number, number] {
    const lows = chart.low.slice(window.first, window.last + 1);
    const highs = chart.high.slice(window.first, window.last + 1);
    const [low = 0, high = 1] = extent([...lows, ...highs, ...prices]) as [number | undefined, number | undefined];
    if (log && low > 0) {
        const air = (high / low) ** 0.03;
        return [low / air, high * air];
    }
    const air = (high - low || Math.abs(high) || 1) * 0.03;
    return [low - air, high + air];
}

/** A logarithmic scale whose marks are round prices, as on a linear one. */
function logScale([low, high]: [number, number], range: [number, number]): PriceScale {
    const least = Math.max(low, high * 1e-6);
    const scale = scaleLog([least, high], range);
    return Object.assign((price: number) => scale(Math.max(price, least / 1e3)), {
        invert: (pixel: number) => scale.invert(pixel),
        ticks: (count: number) => scaleLinear([least, high], [0, 1]).ticks(count),
        domain: () => [least, high],
    });
}

/** The prices worth drawing into view: all that lie within a reach of the bars, as a multiple of their range. */
export function near(chart: ChartData, window: Window, prices: number[], reach = 0.6): number[] {
    const lows = chart.low.slice(window.first, window.last + 1);
    const highs = chart.high.slice(window.first, window.last + 1);
    if (lows.length === 0) {
        return prices;
    }
    const low = Math.min(...lows);
    const high = Math.max(...highs);
    const room = (high - low) * reach;
    return prices.filter((price) => price >= low - room && price <= high + room);
}

/**
 * The position of bars: the middle of equal slots, with room on the right for the names of the averages.
 */
export function barScale(window: Window, width: number, room = 54): { x: (index: number) => number; slot: number } {
    const slot = (width - room) / (window.last - window.first + 2);
    return { x: (index) => (index - window.first + 1) * slot, slot };
}

/**
 * Whole R marks that lie within the price scale, far enough apart to be read; the stop at -1 R is among them whenever
 * it can be told from the entry.
 *
 * @param room least distance of two marks, in pixels
 */
export function rTicks(scale: PriceScale, entry: number, stop: number, room = 24): { r: number; price: number }[] {
    const risk = entry - stop;
    const oneR = Math.abs(scale(entry) - scale(stop));
    const ends = scale.domain().map((price) => (price - entry) / risk);
    const [from, to] = [Math.min(...ends), Math.max(...ends)];
    const step = Math.max(1, Math.ceil(room / oneR));
    const ticks = [];
    for (let r = Math.ceil(from / step) * step; r <= to; r += step) {
        const besideStop = step > 1 && oneR >= room / 2 && r !== 0 && Math.abs(r + 1) * oneR < room;
        if (!besideStop) {
            ticks.push(r);
        }
    }
    if (step > 1 && oneR >= room / 2 && from <= -1) {
        ticks.push(-1);
    }
    return ticks.sort((a, b) => a - b).map((r) => ({ r: r === 0 ? 0 : r, price: entry + r * risk }));
}

/**
 * Where the date axis gets a label: the first bar of each session within sessions, of each month for days and weeks,
 * of each year for longer ones; fewer when they stand close.
 */
export function dateMarks(chart: ChartData, window: Window, slot: number, room = 44): { index: number; label: string }[] {
    const within = chart.times.length > 0;
    const part = within ? 10 : chart.timeFrame === '1mo' || chart.timeFrame === '3mo' ? 4 : 7;
    const marks: { index: number; label: string }[] = [];
    let lastAt = -Infinity;
    let labelled = '';
    for (let i = Math.max(1, window.first); i <= window.last; i++) {
        const now = chart.sessions[i] ?? '';
        const before = chart.sessions[i - 1] ?? '';
        if (now.slice(0, part) !== before.slice(0, part) && (i - lastAt) * slot >= room) {
            const date = new Date(`${now}T12:00:00Z`);
            const month = date.toLocaleDateString('en-GB', { month: 'short', timeZone: 'UTC' });
            const year = now.slice(0, 4);
            marks.push({
                index: i,
                label:
                    part === 4 ? year : within ? `${date.getUTCDate()} ${month}` : year === labelled ? month : `${month} ${year}`,
            });
            lastAt = i;
            labelled = year;
        }
    }
    return marks;
}
