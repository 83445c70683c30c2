/** Arithmetic on prices as decimal strings, by whole units of the instrument, so that no rounding creeps in. */

export interface Grid {
    decimals: number;
    /** the tick as a decimal string */
    tick: string;
}

export function units(price: string, decimals: number): number {
    return Math.round(Number(price) * 10 ** decimals);
}

export function format(unitCount: number, decimals: number): string {
    return (unitCount / 10 ** decimals).toFixed(decimals);
}

/** The price on the tick nearest to a value read off the scale; never below one tick. */
export function snap(value: number, grid: Grid): string {
    const tick = units(grid.tick, grid.decimals);
    const ticks = Math.max(1, Math.round((value * 10 ** grid.decimals) / tick));
    return format(ticks * tick, grid.decimals);
}

/** A price moved by a number of ticks; never below one tick. */
export function nudge(price: string, ticks: number, grid: Grid): string {
    const tick = units(grid.tick, grid.decimals);
    return format(Math.max(tick, units(price, grid.decimals) + ticks * tick), grid.decimals);
}

/** R of a price while it is dragged, from the two prices at hand; the server's figure follows when the drag ends. */
export function draggedR(value: number, entry: number, stop: number): string {
    return ((value - entry) / (entry - stop)).toFixed(2);
}

/** A signed figure with a real minus sign, for reading. */
export function signed(text: string | null, digits?: number): string {
    if (text === null) {
        return '–';
    }
    const body = digits === undefined ? text.replace('-', '') : Math.abs(Number(text)).toFixed(digits);
    const value = Number(body) === 0 ? 0 : Number(text);
    return value > 0 ? `+${body}` : value < 0 ? `−${body}` : body;
}
