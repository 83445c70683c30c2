// Written by php artisan types:write from app/Data. Do not edit.

export type CandidateState = 'new' | 'kept' | 'passed';

export type LadderRowKind = 'level' | 'entry' | 'stop' | 'target' | 'cancel' | 'last';

export type LevelGrade = 'major' | 'minor';

export type MarketRunState = 'queued' | 'running' | 'done' | 'cancelled' | 'failed';

export type OutcomeStatus = 'waiting' | 'open' | 'closed' | 'not_triggered' | 'cancelled' | 'void';

export type Role = 'author' | 'assistant' | 'subscriber';

export type Side = 'long' | 'short';

export type Tier = 'harbour' | 'pilot';

export type TimeFrame = '5m' | '30m' | '1h' | '4h' | '1d' | '1w' | '1mo' | '3mo';

export type TriggerKind = 'touch' | 'break';

export interface AverageLineData {
    name: string;
    values: (number | null)[];
}

export interface CandidateData {
    id: number;
    instrument: InstrumentData;
    state: CandidateState;
    reason: string;
    readers: Tier;
    lastClose: string | null;
    change: string | null;
    levelCount: number;
    setupNote: string;
    sentence: string | null;
    strip: StripData | null;
}

export interface CandidateLinkData {
    id: number;
    symbol: string;
    state: CandidateState;
    setupNote: string;
}

export interface ChartData {
    timeFrame: TimeFrame;
    decimals: number;
    sessions: string[];
    times: string[];
    open: number[];
    high: number[];
    low: number[];
    close: number[];
    volume: number[];
    averages: AverageLineData[];
    unfinished: boolean;
    publishedAfter: number | null;
}

export interface CheckLineData {
    stops: boolean;
    message: string;
    candidateId: number | null;
}

export interface ClockData {
    date: string;
    time: string;
    utc: string;
    session: string;
    run: MarketRunData | null;
}

export interface DayLineStepData {
    key: string;
    label: string;
    href: string;
    note: string;
    done: boolean;
}

export interface EditionData {
    number: number;
    isPreview: boolean;
    author: string;
    exchange: string;
    publishedAt: string;
    session: string;
    opens: string;
    bias: string;
    seal: string | null;
    previousSeal: string | null;
    parts: EditionPartData[];
    withheld: number;
    costs: string;
}

export interface EditionLevelData {
    price: string;
    value: number;
    origin: string;
    grade: LevelGrade;
}

export interface EditionLinkData {
    number: number;
    session: string;
    publishedAt: string;
    symbols: string[];
    setups: number;
    standing: string;
}

export interface EditionPartData {
    symbol: string;
    name: string;
    kind: string;
    currency: string;
    passed: boolean;
    reason: string;
    lastClose: string;
    levels: EditionLevelData[];
    setup: EditionSetupData | null;
    chart: ChartData | null;
}

export interface EditionSetupData {
    key: string;
    side: Side;
    trigger: TriggerKind;
    sentence: string;
    entry: string;
    stop: string;
    cancel: string | null;
    targets: TargetData[];
    risk: string;
    goodUntil: string;
    scale: RScaleData;
    planned: StripData;
    outcome: OutcomeData | null;
}

export interface InstrumentData {
    id: number;
    symbol: string;
    name: string;
    kind: string;
    decimals: number;
    tick: string;
    currency: string;
    group: string;
}

export interface LadderRowData {
    key: string;
    kind: LadderRowKind;
    label: string;
    price: string;
    value: number;
    percent: string;
    atr: string | null;
    r: string | null;
    levelId: number | null;
    grade: LevelGrade | null;
    target: number | null;
}

export interface MarketRunData {
    id: number;
    label: string;
    state: MarketRunState;
    done: number;
    total: number;
    message: string | null;
}

export interface OutcomeData {
    status: OutcomeStatus;
    label: string;
    asOf: string;
    r: string | null;
    rRealised: string | null;
    rOpen: string | null;
    percent: string | null;
    perUnit: string | null;
    averageFill: string | null;
    sessionsHeld: number | null;
    best: string | null;
    worst: string | null;
    ambiguous: boolean;
    missed: string | null;
    targetFirst: string | null;
    events: OutcomeEventData[];
    strip: StripData;
}

export interface OutcomeEventData {
    when: string;
    session: string | null;
    what: string;
    price: string | null;
    share: string | null;
    note: string;
}

export interface PersonData {
    name: string;
    role: Role;
    tier: string | null;
    mayPublish: boolean;
    mayPlayMarket: boolean;
}

export interface PlanData {
    id: number;
    session: string;
    opens: string;
    bias: string;
    undo: string | null;
    redo: string | null;
}

export interface RScaleData {
    entry: number;
    stop: number;
}

export interface RecordRowData {
    edition: number;
    key: string;
    session: string;
    symbol: string;
    name: string;
    sentence: string;
    outcome: OutcomeData;
}

export interface RecordTotalsData {
    published: number;
    closed: number;
    open: number;
    waiting: number;
    notTriggered: number;
    cancelled: number;
    void: number;
    ambiguous: number;
    realised: string;
    openR: string;
    costs: string;
}

export interface SetupData {
    begun: boolean;
    side: Side;
    trigger: TriggerKind;
    entry: string | null;
    within: string;
    noChase: boolean;
    stop: string | null;
    cancel: string | null;
    targets: TargetData[];
    goodFor: number;
    goodUntil: string;
    missing: string[];
    warnings: string[];
    sentence: string | null;
    risk: string | null;
    riskPercent: string | null;
    scale: RScaleData | null;
    strip: StripData | null;
}

export interface StripData {
    side: Side;
    targets: string[];
    now: string | null;
    fill: string | null;
    best: string | null;
    worst: string | null;
    filled: string;
}

export interface TargetData {
    price: string;
    share: string;
    r: string | null;
}

export interface WorkbenchData {
    candidate: CandidateData;
    ladder: LadderRowData[];
    setup: SetupData;
    atr: string | null;
    undo: string | null;
    redo: string | null;
}
