import type { RScaleData } from '@/types/data';

/** A point of the chart: a bar and a price. */
export interface Point {
    index: number;
    value: number;
}

/** The way from one point to another, each measure as it is read. */
export function measured(from: Point, to: Point, decimals: number, atr: number | null, scale: RScaleData | null): string[] {
    const move = to.value - from.value;
    const bars = Math.abs(to.index - from.index);
    const signed = (value: number, digits: number): string => {
        const text = Math.abs(value).toFixed(digits);
        return Number(text) === 0 ? text : `${value > 0 ? '+' : '−'}${text}`;
    };
    return [
        signed(move, decimals),
        from.value === 0 ? '' : `${signed((to.value / from.value - 1) * 100, 2)} %`,
        atr === null || atr === 0 ? '' : `${signed(move / atr, 1)} ATR`,
        bars === 0 ? '' : `${bars} ${bars === 1 ? 'bar' : 'bars'}`,
        // in R of the setup, counted as its side counts
        scale === null ? '' : `${signed(move / (scale.entry - scale.stop), 2)} R`,
    ].filter((part) => part !== '');
}
