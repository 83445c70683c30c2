import type { ChartData } from '@/types/data';
import type { PriceScale, Window } from './scales';

/** A point of a bar that a mark holds on to. */
export interface Snapped {
    value: number;
    index: number;
    what: 'high' | 'low' | 'close';
}

/** How many bars to each side of the pointer count. */
const BARS = 3;
/** How near the pointer must be, in pixels. */
export const REACH = 7;

/** The high, low or close near the pointer; gap edges are highs and lows. Null when none is near. */
export function snapTo(chart: ChartData, window: Window, y: PriceScale, index: number, at: number): Snapped | null {
    let best: Snapped | null = null;
    let nearest = REACH;
    for (let i = Math.max(window.first, index - BARS); i <= Math.min(window.last, index + BARS); i++) {
        // of two points as near as each other the one of the nearer bar, and an extreme before a close
        for (const what of ['high', 'low', 'close'] as const) {
            const value = chart[what][i];
            const distance =
                value === undefined
                    ? Infinity
                    : Math.abs(y(value) - at) + Math.abs(i - index) * 0.4 + (what === 'close' ? 0.2 : 0);
            if (value !== undefined && distance < nearest) {
                nearest = distance;
                best = { value, index: i, what };
            }
        }
    }
    return best;
}
