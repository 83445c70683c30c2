import { line } from 'd3-shape';
import type { ChartData } from '@/types/data';
import type { PriceScale, Window } from './scales';

type X = (index: number) => number;

export interface Candle {
    index: number;
    rising: boolean;
    x: number;
    width: number;
    bodyTop: number;
    bodyHeight: number;
    /** the thin line above and below the body */
    wick: string;
}

/** Candles in ink: the body from open to close, wicks that do not run through a hollow body. */
export function candles(chart: ChartData, window: Window, x: X, y: PriceScale, slot: number): Candle[] {
    const width = Math.max(1, Math.min(11, Math.round(slot * 0.64)));
    const out: Candle[] = [];
    for (let i = window.first; i <= window.last; i++) {
        const [open, high, low, close] = [chart.open[i] ?? 0, chart.high[i] ?? 0, chart.low[i] ?? 0, chart.close[i] ?? 0];
        const top = y(Math.max(open, close));
        const bottom = y(Math.min(open, close));
        const middle = x(i);
        out.push({
            index: i,
            rising: close >= open,
            x: middle - width / 2,
            width,
            bodyTop: top,
            bodyHeight: Math.max(1, bottom - top),
            wick: `M${middle},${y(high)}V${top}M${middle},${bottom}V${y(low)}`,
        });
    }
    return out;
}

/** The path of an average; it begins where the average is defined. */
export function averagePath(values: (number | null)[], window: Window, x: X, y: PriceScale): string {
    const points = values
        .slice(window.first, window.last + 1)
        .map((value, i): [number, number | null] => [window.first + i, value])
        .filter((point): point is [number, number] => point[1] !== null);
    return (
        line<[number, number]>()
            .x(([i]) => x(i))
            .y(([, value]) => y(value))(points) ?? ''
    );
}

/** Heights of the volume bars, the largest of the window filling the strip. */
export function volumeBars(
    chart: ChartData,
    window: Window,
    x: X,
    slot: number,
    height: number,
): { x: number; width: number; height: number }[] {
    const volumes = chart.volume.slice(window.first, window.last + 1);
    const largest = Math.max(1, ...volumes);
    const width = Math.max(1, slot * 0.6);
    return volumes.map((volume, i) => ({ x: x(window.first + i) - width / 2, width, height: (volume / largest) * height }));
}
