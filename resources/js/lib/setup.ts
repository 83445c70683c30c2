import type { LegData, SetupData, TimeFrame, TriggerKind } from '@/types/data';

/** The words and defaults of the parts of a setup. The rules themselves are the core's: what it refuses is told at its field. */

/** A change of a setup; one that follows from what it holds is worked out when its turn comes, after the changes before it. */
export type SetupChange = Record<string, unknown> | ((now: SetupData) => Record<string, unknown>);

export interface Choice<T extends string = string> {
    value: T;
    label: string;
}

/** What a trigger is called, told for the side. */
export function triggerLabel(kind: TriggerKind, side: 'long' | 'short'): string {
    const long = side === 'long';
    switch (kind) {
        case 'touch':
            return `touch: ${long ? 'falls' : 'rises'} to it`;
        case 'break':
            return `break: ${long ? 'rises' : 'falls'} through it`;
        case 'close_beyond':
            return `close ${long ? 'above' : 'below'} it`;
        case 'retest':
            return `retest: ${long ? 'above' : 'below'} it, then back`;
        case 'overshoot':
            return `overshoot: ${long ? 'below' : 'above'} it and back`;
        case 'open':
            return 'open of a session';
        case 'market':
            return 'at once, at the next open';
    }
}

/** Which fields a trigger has beside its price. */
export const LEG_FIELDS: Record<TriggerKind, (keyof LegData)[]> = {
    touch: ['within'],
    break: ['noChase', 'worst'],
    close_beyond: ['timeframe', 'times', 'nextOpen', 'worst'],
    retest: ['timeframe', 'within'],
    overshoot: ['beyond', 'timeframe', 'bars'],
    open: ['gapMin', 'gapMax', 'worst'],
    market: ['worst'],
};

export function hasPrice(kind: TriggerKind): boolean {
    return kind !== 'open' && kind !== 'market';
}

export const CLOSES: Choice<TimeFrame>[] = [
    { value: '5m', label: '5-minute' },
    { value: '30m', label: '30-minute' },
    { value: '1h', label: 'hourly' },
    { value: '4h', label: '4-hour' },
    { value: '1d', label: 'daily' },
    { value: '1w', label: 'weekly' },
    { value: '1mo', label: 'monthly' },
    { value: '3mo', label: 'quarterly' },
];

/** A field of a line that is filled in. */
export interface Field {
    name: string;
    label: string;
    unit?: string;
    choices?: Choice[];
    wide?: boolean;
}

const AVERAGES: Choice[] = [
    { value: 'sma', label: 'simple' },
    { value: 'ema', label: 'exponential' },
];
const PERCENT: Field[] = [{ name: 'value', label: 'Gap', unit: '% with the trade' }];
const MINUTES: Field[] = [{ name: 'value', label: 'Minutes', unit: 'after the open' }];
const AVERAGE: Field[] = [
    { name: 'type', label: 'Average', choices: AVERAGES },
    { name: 'period', label: 'of', unit: 'sessions' },
];
const RSI: Field[] = [
    { name: 'period', label: 'RSI of', unit: 'sessions' },
    { name: 'value', label: 'at' },
];
const INDEX: Field[] = [
    { name: 'symbol', label: 'Symbol' },
    { name: 'price', label: 'at' },
];

/** Each condition: its name in the list, its fields, and what it starts with. */
export const CONDITIONS: Record<string, { label: string; fields: Field[]; start: Record<string, string> }> = {
    gap_max_percent: { label: 'gap at most', fields: PERCENT, start: { value: '3' } },
    gap_min_percent: { label: 'gap at least', fields: PERCENT, start: { value: '0' } },
    not_before_minutes: { label: 'not before so many minutes', fields: MINUTES, start: { value: '30' } },
    not_after_minutes: { label: 'not after so many minutes', fields: MINUTES, start: { value: '180' } },
    blackout: {
        label: 'not between two moments',
        fields: [
            { name: 'from', label: 'From', unit: 'like 2026-10-20 14:00', wide: true },
            { name: 'to', label: 'to', unit: 'Quay time', wide: true },
        ],
        start: { from: '', to: '' },
    },
    relative_volume_min: {
        label: 'on enough volume',
        fields: [{ name: 'value', label: 'Volume', unit: 'times the usual' }],
        start: { value: '1.5' },
    },
    close_place_min: {
        label: 'a close near its extreme',
        fields: [{ name: 'value', label: 'Place', unit: 'of its range, 0 to 1' }],
        start: { value: '0.7' },
    },
    average_above: { label: 'above an average', fields: AVERAGE, start: { type: 'sma', period: '20' } },
    average_below: { label: 'below an average', fields: AVERAGE, start: { type: 'sma', period: '20' } },
    rsi_max: { label: 'RSI at most', fields: RSI, start: { period: '14', value: '70' } },
    rsi_min: { label: 'RSI at least', fields: RSI, start: { period: '14', value: '30' } },
    index_above: { label: 'while an index stands above', fields: INDEX, start: { symbol: '', price: '' } },
    index_below: { label: 'while an index stands below', fields: INDEX, start: { symbol: '', price: '' } },
};

const FRAME: Field = { name: 'timeframe', label: 'on', choices: CLOSES };

/** What a stop move waits for. */
export const AFTER: Record<string, { label: string; field: Field; start: string }> = {
    target: { label: 'after target', field: { name: 'afterValue', label: 'number' }, start: '1' },
    r: { label: 'after a gain of', field: { name: 'afterValue', label: 'gain', unit: 'R' }, start: '1' },
    sessions: { label: 'after sessions held', field: { name: 'afterValue', label: 'count' }, start: '3' },
};

/** Where a stop moves to. */
export const TO: Record<string, { label: string; fields: Field[]; start: Record<string, string> }> = {
    entry: { label: 'to the entry', fields: [], start: {} },
    price: { label: 'to a price', fields: [{ name: 'price', label: 'at' }], start: { price: '' } },
    target: { label: 'to a target', fields: [{ name: 'number', label: 'number' }], start: { number: '1' } },
    atr: {
        label: 'trailing by ranges',
        fields: [{ name: 'multiple', label: 'ATR times' }, { name: 'period', label: 'of' }, FRAME],
        start: { multiple: '2', period: '14', timeframe: '1d' },
    },
    average: {
        label: 'trailing an average',
        fields: [{ name: 'type', label: 'kind', choices: AVERAGES }, { name: 'period', label: 'of' }, FRAME],
        start: { type: 'ema', period: '20', timeframe: '1d' },
    },
    swing: {
        label: 'trailing the last lows',
        fields: [{ name: 'bars', label: 'bars' }, FRAME],
        start: { bars: '3', timeframe: '1d' },
    },
};

/** Another part of the entry: it takes half of what the last part has. */
export function withPart(setup: SetupData): LegData[] {
    const legs = setup.legs.map((leg) => ({ ...leg }));
    const last = legs.at(-1);
    if (last === undefined) {
        return legs;
    }
    const half = String(Math.round((Number(last.share) / 2) * 100) / 100);
    const left = String(Math.round((Number(last.share) - Number(half)) * 100) / 100);
    last.share = left;
    if (legs.length === 1 && last.name === 'entry') {
        last.name = 'starter';
    }
    return [
        ...legs,
        {
            ...last,
            name: legs.length === 1 ? 'add' : `add ${legs.length}`,
            share: half,
            price: null,
            worst: null,
            kind: last.kind,
            needs: null,
        },
    ];
}

/** A part of the entry taken away: the one before it takes its share over. */
export function withoutPart(setup: SetupData, index: number): LegData[] {
    const gone = setup.legs[index];
    const legs = setup.legs
        .filter((_, i) => i !== index)
        .map((leg) => ({ ...leg, needs: leg.needs === gone?.name ? null : leg.needs }));
    const heir = legs[Math.max(0, index - 1)];
    if (heir !== undefined && gone !== undefined) {
        heir.share = String(Math.round((Number(heir.share) + Number(gone.share)) * 100) / 100);
        if (legs.length === 1) {
            heir.name = 'entry';
        }
    }
    return legs;
}

/** The kind of entry that comes after the present one among those that fit where price stands. */
export function nextKind(setup: SetupData): TriggerKind | undefined {
    const here = setup.offered.findIndex((kind) => kind === setup.legs[0]?.kind);
    return setup.offered[(here + 1) % setup.offered.length];
}

/** The place for the stop that comes after the present one among those offered. */
export function nextStop(setup: SetupData): string | undefined {
    const here = setup.stopOffers.findIndex((offer) => offer.price === setup.stop);
    return setup.stopOffers[(here + 1) % Math.max(1, setup.stopOffers.length)]?.price;
}
