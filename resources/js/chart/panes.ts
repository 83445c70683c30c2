import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import type { ChartData, PaneData } from '@/types/data';
import type { Window } from './scales';

const HEIGHTS: Partial<Record<PaneData['kind'], number>> = { volume: 46 };
const USUAL_HEIGHT = 72;
/** Room above the lines for the name of the pane. */
const HEAD = 15;

export interface PlacedPane {
    pane: PaneData;
    top: number;
    height: number;
    y: (value: number) => number;
    /** figures on the right: the guides, or the ends of the scale */
    ticks: number[];
}

export function paneHeight(pane: PaneData): number {
    return HEIGHTS[pane.kind] ?? USUAL_HEIGHT;
}

/** The height that all panes of a chart take together. */
export function panesHeight(chart: ChartData): number {
    return chart.panes.reduce((sum, pane) => sum + paneHeight(pane), 0);
}

/** The panes one below the other, each with the scale of what it shows in the window. */
export function placePanes(chart: ChartData, window: Window, top: number): PlacedPane[] {
    let at = top;
    return chart.panes.map((pane) => {
        const height = paneHeight(pane);
        const values = pane.lines.flatMap((line) => line.values.slice(window.first, window.last + 1)).filter((v) => v !== null);
        const [low = 0, high = 1] = extent([...values, ...pane.guides]) as [number | undefined, number | undefined];
        const from = pane.low ?? low;
        const to = pane.high ?? (high === from ? from + 1 : high);
        const y = scaleLinear([from, to], [at + height - 3, at + HEAD]);
        const placed = {
            pane,
            top: at,
            height,
            y,
            ticks: pane.guides.length > 0 ? pane.guides : pane.kind === 'volume' ? [] : [from, to],
        };
        at += height;
        return placed;
    });
}

/** A figure of a pane, as it is read. */
export function paneFigure(value: number | null | undefined, decimals: number): string {
    if (value === null || value === undefined) {
        return '–';
    }
    return value.toLocaleString('en-GB', { minimumFractionDigits: decimals, maximumFractionDigits: decimals }).replace('-', '−');
}
