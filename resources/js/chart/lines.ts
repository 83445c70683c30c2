import type { ChartData, LadderRowData, LadderRowKind, LevelGrade, OutcomeEventData, Side } from '@/types/data';

/** A price drawn across the chart: a line, a band between two edges, or a curve. */
export interface PriceLine {
    key: string;
    kind: LadderRowKind;
    value: number;
    low: number;
    high: number;
    price: string;
    label: string;
    grade: LevelGrade | null;
    side: Side | null;
    movable: boolean;
    /** whether its edges can be pulled */
    edges: boolean;
    /** of what moves, its value at each bar of the chart and at the next one; else null */
    curve: (number | null)[] | null;
    upper: (number | null)[] | null;
}

/** Something that happened at a price in a session. */
export interface ChartMark {
    session: string;
    value: number;
    kind: 'fill' | 'exit' | 'held' | 'broke' | 'role_change';
    label: string;
}

/** A price that is only looked at, as it was published. */
export function stillLine(
    kind: LadderRowKind,
    key: string,
    price: string,
    label: string,
    side: Side | null,
    value: number = Number(price),
): PriceLine {
    return {
        key,
        kind,
        value,
        low: value,
        high: value,
        price,
        label,
        grade: null,
        side,
        movable: false,
        edges: false,
        curve: null,
        upper: null,
    };
}

/** The fills and exits among what happened, where they are drawn. */
export function marksOf(events: OutcomeEventData[]): ChartMark[] {
    return events.flatMap((event) =>
        event.session === null || event.drawnAt === null || !(event.isFill || event.isExit)
            ? []
            : [
                  {
                      session: event.session,
                      value: event.drawnAt,
                      kind: event.isFill ? ('fill' as const) : ('exit' as const),
                      label: `${event.what} at ${event.price}`,
                  },
              ],
    );
}

export function lineOf(row: LadderRowData, side: Side, chart: ChartData, sessions: string[]): PriceLine {
    const { key, kind, value, low, high, price, label, grade, movable } = row;
    const onChart = (values: (number | null)[]): (number | null)[] | null =>
        values.length === 0 ? null : onBars(chart, sessions, values);
    return {
        key,
        kind,
        value,
        low,
        high,
        price,
        label,
        grade,
        side,
        movable,
        edges: row.form === 'zone' || row.form === 'price' || row.form === 'mark',
        curve: onChart(row.curve),
        upper: onChart(row.upper),
    };
}

/**
 * Values told by session, at the bars of a chart: of a bar longer than a session that of its last one, of one within a
 * session that of its day. After the last bar stands the value of the next session.
 *
 * @param sessions dates in order, the last of them the next session
 */
export function onBars(chart: ChartData, sessions: string[], values: (number | null)[]): (number | null)[] {
    const known = sessions.length - 1;
    let at = -1;
    const on = chart.sessions.map((date, i) => {
        const until = lastDate(chart, date, i);
        while (at + 1 < known && (sessions[at + 1] ?? '') <= until) {
            at++;
        }
        return at < 0 ? null : (values[at] ?? null);
    });
    return [...on, values.at(-1) ?? null];
}

/** A date that no session of the bar lies beyond, and all sessions of the next bar do. */
function lastDate(chart: ChartData, date: string, index: number): string {
    if (chart.times.length > 0) {
        return date;
    }
    const next = chart.sessions[index + 1];
    return next === undefined ? '9999-12-31' : `${next.slice(0, 8)}${String(Number(next.slice(8)) - 1).padStart(2, '0')}`;
}
