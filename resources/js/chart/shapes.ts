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
            wick: `M${round(middle)},${round(y(high))}V${round(top)}M${round(middle)},${round(bottom)}V${round(y(low))}`,
        });
    }
    return out;
}

export interface CandlePaths {
    wicks: string;
    rising: string;
    falling: string;
    /** those outside the session */
    outsideWicks: string;
    outsideRising: string;
    outsideFalling: string;
    /** the body of the bar that is under way */
    unfinished: string;
    unfinishedRises: boolean;
}

/** All candles as paths: one for each way in which they are drawn. */
export function candlePaths(chart: ChartData, window: Window, x: X, y: PriceScale, slot: number): CandlePaths {
    const paths: CandlePaths = {
        wicks: '',
        rising: '',
        falling: '',
        outsideWicks: '',
        outsideRising: '',
        outsideFalling: '',
        unfinished: '',
        unfinishedRises: false,
    };
    const outside = new Set(chart.extended);
    for (const candle of candles(chart, window, x, y, slot)) {
        const body = `M${round(candle.x)},${round(candle.bodyTop)}h${candle.width}v${round(candle.bodyHeight)}h${-candle.width}z`;
        const isOutside = outside.has(candle.index);
        paths[isOutside ? 'outsideWicks' : 'wicks'] += candle.wick;
        if (chart.unfinished && candle.index === chart.sessions.length - 1) {
            paths.unfinished = body;
            paths.unfinishedRises = candle.rising;
        } else if (isOutside) {
            paths[candle.rising ? 'outsideRising' : 'outsideFalling'] += body;
        } else {
            paths[candle.rising ? 'rising' : 'falling'] += body;
        }
    }
    return paths;
}

function round(value: number): number {
    return Math.round(value * 100) / 100;
}

/** The path of an average; it begins where the average is defined. */
export function averagePath(values: (number | null)[], window: Window, x: X, y: (value: number) => number): string {
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

/** Bars of a pane as one path, from zero or from the lower end of its scale. */
export function paneBars(values: (number | null)[], window: Window, x: X, y: (value: number) => number, slot: number): string {
    const width = Math.max(1, slot * 0.6);
    const base = y(0);
    let path = '';
    for (let i = window.first; i <= window.last; i++) {
        const value = values[i];
        if (value !== null && value !== undefined) {
            path += `M${round(x(i) - width / 2)},${round(base)}V${round(y(value))}h${round(width)}V${round(base)}z`;
        }
    }
    return path;
}
