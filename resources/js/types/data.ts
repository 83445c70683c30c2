// Written by php artisan types:write from app/Data. Do not edit.

export type Agreement = 'agrees' | 'only mine' | 'only found';

export type AverageKind = 'sma' | 'ema';

export type BarMarkKind = 'roll' | 'split' | 'earnings' | 'missing';

export type CancelSide = 'stop' | 'target';

export type CandidateSource = 'typed' | 'carried' | 'asked' | 'scan' | 'outside';

export type CandidateState = 'new' | 'kept' | 'passed';

export type DeliveryChannel = 'mail' | 'webhook';

export type ImportKind = 'bars' | 'instruments' | 'events';

export type ImportState = 'preview' | 'queued' | 'checking' | 'writing' | 'done' | 'refused' | 'cancelled' | 'failed';

export type LadderRowKind = 'level' | 'entry' | 'stop' | 'target' | 'cancel' | 'last' | 'found';

export type LevelForm = 'price' | 'zone' | 'mark' | 'line' | 'average' | 'swing';

export type LevelGrade = 'major' | 'minor';

export type LevelKind = 'zone' | 'period' | 'gap' | 'pivot' | 'retracement' | 'projection' | 'line' | 'average' | 'round' | 'expected_range' | 'confluence';

export type LevelLayer = 'own' | 'check' | 'joined' | 'marks' | 'gaps' | 'pivots' | 'ratios' | 'averages' | 'vwap' | 'rounds';

export type LevelStanding = 'active' | 'tested' | 'broken' | 'role changed' | 'retired';

export type NoTrade = 'pass' | 'stand_aside' | 'do_not_chase' | 'watch_only';

export type OptionRight = 'call' | 'put';

export type OptionShape = 'long_option' | 'vertical' | 'butterfly';

export type OutcomeStatus = 'waiting' | 'open' | 'closed' | 'not_triggered' | 'cancelled' | 'void';

export type PaneKind = 'volume' | 'rsi' | 'macd' | 'stochastic' | 'directional_movement' | 'z_score' | 'ratio';

export type PartRole = 'text' | 'disclaimer' | 'holdings' | 'sponsorship';

export type PlanKind = 'daily' | 'weekly' | 'before_open' | 'single' | 'review';

export type ReactionKind = 'held' | 'broke' | 'undecided' | 'untouched';

export type ReasonJudgement = 'held' | 'partly' | 'failed';

export type RehearsalScope = 'instrument' | 'group';

export type Relation = 'still' | 'continues' | 'replaces' | 'adds_to';

export type RequestState = 'open' | 'taken' | 'answered' | 'declined';

export type ResultJudgement = 'deserved' | 'lucky' | 'unlucky';

export type Role = 'author' | 'assistant' | 'subscriber';

export type RunState = 'queued' | 'running' | 'done' | 'cancelled' | 'failed';

export type Sees = 'nothing' | 'headline' | 'levels' | 'full';

export type Side = 'long' | 'short';

export type Stack = 'up' | 'down' | 'mixed';

export type Standing = 'met' | 'not_yet' | 'failed';

export type StopPlace = 'swing' | 'level' | 'range';

export type TimeFrame = '5m' | '30m' | '1h' | '4h' | '1d' | '1w' | '1mo' | '3mo';

export type TouchKind = 'held' | 'broke' | 'role_change';

export type TriggerKind = 'touch' | 'break' | 'close_beyond' | 'retest' | 'overshoot' | 'open' | 'market';

export type UpdateKind = 'move_stop' | 'move_target' | 'cancel_waiting' | 'exit' | 'note';

export type VariantKind = 'patient' | 'longer' | 'other_side' | 'copy';

export interface AccountData {
    value: number;
    riskPercent: number;
    currency: string;
}

export interface AskedData {
    name: string;
    tier: string;
    note: string;
    when: string;
}

export interface AverageLineData {
    name: string;
    values: (number | null)[];
}

export interface AverageSettingData {
    kind: AverageKind;
    period: number;
}

export interface BarMarkData {
    index: number;
    kind: BarMarkKind;
    label: string;
}

export interface BarRowData {
    when: string;
    open: string;
    high: string;
    low: string;
    close: string;
    change: string | null;
    volume: number;
    unfinished: boolean;
}

export interface BreadthData {
    session: string;
    shares: number;
    advancers: number;
    decliners: number;
    newHighs: number;
    newLows: number;
    above50: number | null;
    above200: number | null;
    oscillator: number | null;
    sum: number | null;
    sums: number[];
    aboves: number[];
}

export interface CandidateData {
    id: number;
    instrument: InstrumentData;
    state: CandidateState;
    reason: string;
    noTrade: NoTrade;
    wouldChange: string | null;
    verdict: string;
    readers: string;
    source: CandidateSource;
    sourceNote: string;
    from: string;
    theme: string;
    kindOfSetup: string;
    side: Side | null;
    standing: string;
    relation: Relation | null;
    lastClose: string | null;
    change: string | null;
    levelCount: number;
    closes: number[];
    levels: number[];
    setupNote: string;
    variants: VariantData[];
}

export interface CandidateFactData {
    label: string;
    value: string;
    note: string;
    caution: string;
}

export interface CandidateLinkData {
    id: number;
    symbol: string;
    state: CandidateState;
    setupNote: string;
}

export interface CarriedData {
    relation: Relation;
    edition: number;
    setups: CarriedSetupData[];
}

export interface CarriedSetupData {
    key: string;
    name: string;
    sentence: string;
    followed: FollowedData | null;
}

export interface ChangeSinceData {
    when: string;
    what: string;
    path: string;
    isFollowed: boolean;
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
    extended: number[];
    averages: AverageLineData[];
    panes: PaneData[];
    marks: BarMarkData[];
    unfinished: boolean;
    publishedAfter: number | null;
}

export interface ChartSettingsData {
    averages: AverageSettingData[];
    panes: PaneSettingData[];
    extended: boolean;
}

export interface ChartViewData {
    frame: TimeFrame;
    larger: TimeFrame | null;
    bars: number;
    back: number;
    layers: LevelLayer[];
    clean: boolean;
    log: boolean;
    low: number | null;
    high: number | null;
    strip: boolean;
    snaps: boolean;
}

export interface CheckLineData {
    stops: boolean;
    message: string;
    candidateId: number | null;
    place: string | null;
}

export interface ChecklistData {
    met: number;
    of: number;
    lines: ChecklistLineData[];
}

export interface ChecklistLineData {
    text: string;
    standing: Standing;
    value: string;
    judged: boolean;
}

export interface ChoiceData {
    value: string;
    label: string;
}

export interface ClockData {
    date: string;
    time: string;
    utc: string;
    session: string;
    run: MarketRunData | null;
}

export interface CloseRuleData {
    timeframe: TimeFrame;
    times: number;
}

export interface ConditionData {
    kind: string;
    value: string | null;
    type: string | null;
    period: string | null;
    symbol: string | null;
    price: string | null;
    from: string | null;
    to: string | null;
    text: string;
}

export interface CorrectionData {
    when: string;
    timeFrame: string;
    was: string;
    is: string;
    heldBack: boolean;
}

export interface DataPageData {
    feed: string;
    clock: string;
    folder: string;
    waiting: string[];
    exchanges: ExchangeData[];
    imports: ImportData[];
}

export interface DayLineStepData {
    key: string;
    label: string;
    href: string;
    note: string;
    done: boolean;
}

export interface DeliveriesData {
    title: string;
    path: string;
    total: number;
    sent: number;
    waiting: number;
    failed: FailedDeliveryData[];
}

export interface DraftData {
    id: number;
    label: string;
    kind: PlanKind;
}

export interface EditionData {
    number: number;
    isPreview: boolean;
    author: string;
    exchange: string;
    publishedAt: string;
    kind: string;
    isLate: boolean;
    session: string;
    opens: string;
    bias: string;
    seal: string | null;
    previousSeal: string | null;
    parts: EditionPartData[];
    withheld: number;
    withheldNote: string;
    texts: EditionTextData[];
    readsAll: boolean;
    costs: string;
}

export interface EditionLevelData {
    price: string;
    value: number;
    span: string;
    low: number;
    high: number;
    origin: string;
    grade: LevelGrade;
}

export interface EditionLinkData {
    number: number;
    kind: string;
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
    theme: string;
    currency: string;
    passed: boolean;
    fullFor: string | null;
    sides: Side[];
    verdict: string;
    lastClose: string;
    levels: EditionLevelData[];
    thesis: ThesisData | null;
    setups: EditionSetupData[];
    eitherOr: boolean;
    carried: CarriedData | null;
    chart: ChartData | null;
    units: number;
    splitNote: string | null;
}

export interface EditionSetupData {
    key: string;
    name: string;
    kind: string;
    checklist: ChecklistLineData[];
    side: Side;
    trigger: string;
    sentence: string;
    lines: string[];
    entries: string[];
    stop: string;
    cancel: string | null;
    targets: TargetData[];
    risk: string;
    goodUntil: string;
    option: OptionData | null;
    size: FigureData[];
    scale: RScaleData;
    planned: StripData;
    followed: FollowedData | null;
}

export interface EditionTextData {
    role: PartRole;
    title: string;
    place: string;
    markdown: string;
    html: string;
}

export interface ExchangeData {
    name: string;
    hours: string;
    extended: string;
    now: string;
    exceptions: string;
    instruments: number;
}

export interface ExpectedRangeData {
    low: string;
    high: string;
    held: number | null;
    heldLow: number | null;
    heldHigh: number | null;
    sessions: number;
}

export interface FactData {
    label: string;
    value: string;
    note: string;
}

export interface FailedDeliveryData {
    id: number;
    to: string;
    channel: DeliveryChannel;
    attempts: number;
    error: string;
}

export interface FeedsData {
    editions: string;
    dates: string;
}

export interface FigureData {
    label: string;
    value: string;
    note: string;
}

export interface FollowedData {
    outcome: OutcomeData;
    managed: OutcomeData | null;
    updates: UpdateData[];
}

export interface FollowedSetupData {
    edition: number;
    key: string;
    symbol: string;
    name: string;
    sentence: string;
    outcome: OutcomeData;
}

export interface FoundLevelData {
    key: string;
    kind: LevelKind;
    why: string;
    score: string;
    touches: TouchData[];
    members: string[];
    curve: (number | null)[];
}

export interface FrameReadingData {
    timeFrame: TimeFrame;
    order: Stack | null;
    slope: number | null;
    rsi: number | null;
    zScore: number | null;
    relativeVolume: number | null;
    streak: number | null;
    compressed: number | null;
    released: number | null;
    shape: string;
    divergence: string;
}

export interface GaugeData {
    symbol: string;
    name: string;
    kind: string;
    unit: string;
    last: string | null;
    change: string | null;
    place: number | null;
    order: Stack | null;
    slope: number | null;
    crossing: string | null;
    above: NearLevelData | null;
    below: NearLevelData | null;
    correlation: number | null;
    spark: number[];
}

export interface GroupData {
    name: string;
    members: number;
    advancing: number;
    returns: (number | null)[];
    rank: number | null;
    leader: string | null;
    leaderReturn: number | null;
}

export interface ImportColumnData {
    field: string;
    column: number | null;
    needed: boolean;
}

export interface ImportData {
    id: number;
    kind: ImportKind;
    kindLabel: string;
    fileName: string;
    state: ImportState;
    total: number;
    done: number;
    added: number;
    unchanged: number;
    corrected: number;
    heldBack: number;
    faultCount: number;
    faults: LineFaultData[];
    message: string | null;
    underWay: boolean;
}

export interface ImportPreviewData {
    calendar: boolean;
    delimiter: string;
    header: boolean;
    dates: string;
    zone: string;
    timeFrame: string;
    symbol: string;
    decimal: string;
    head: string[];
    columns: ImportColumnData[];
    names: string[];
    rows: PreviewRowData[];
    faults: LineFaultData[];
    formats: ChoiceData[];
    zones: string[];
    problem: string | null;
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
    benchmark: string | null;
    traded: boolean;
    labels: string[];
}

export interface InstrumentPageData {
    instrument: InstrumentData;
    traded: boolean;
    last: string | null;
    change: string | null;
    labels: string[];
    terms: FactData[];
    facts: FactData[];
    reports: FactData[];
    events: MarketEventData[];
    sessions: SessionData[];
    readings: FrameReadingData[];
    expected: ExpectedRangeData | null;
    odds: OddsData | null;
    candidateId: number | null;
}

export interface InstrumentRowData {
    symbol: string;
    name: string;
    kind: string;
    group: string;
    exchange: string;
    days: number;
    fine: number;
    from: string | null;
    lastBar: string | null;
}

export interface LadderRowData {
    key: string;
    kind: LadderRowKind;
    label: string;
    price: string;
    value: number;
    low: number;
    high: number;
    span: string;
    percent: string;
    atr: string | null;
    r: string | null;
    levelId: number | null;
    grade: LevelGrade | null;
    target: number | null;
    layer: LevelLayer | null;
    form: LevelForm | null;
    timeFrame: TimeFrame | null;
    standing: LevelStanding | null;
    agreement: Agreement | null;
    touches: number;
    movable: boolean;
    curve: (number | null)[];
    upper: (number | null)[];
}

export interface LegData {
    name: string;
    share: string;
    kind: TriggerKind;
    price: string | null;
    within: string;
    noChase: boolean;
    timeframe: TimeFrame;
    times: number;
    nextOpen: boolean;
    beyond: string;
    bars: number;
    worst: string | null;
    gapMin: string | null;
    gapMax: string | null;
    needs: string | null;
}

export interface LevelChangeData {
    at: string;
    by: string;
    what: string;
}

export interface LevelDidData {
    id: number;
    symbol: string;
    words: string;
    origin: string;
    grade: LevelGrade;
    timeFrame: TimeFrame;
    markedOn: string;
    markedOnDate: string;
    standing: LevelStanding;
    did: ReactionKind;
    reaction: string;
}

export interface LevelHistoryData {
    all: LevelTallyData;
    byOrigin: LevelTallyData[];
    byGrade: LevelTallyData[];
    byTimeFrame: LevelTallyData[];
    levels: LevelDidData[];
}

export interface LevelSheetData {
    id: number;
    form: LevelForm;
    words: string;
    price: string;
    low: string | null;
    high: string | null;
    from: PointData | null;
    to: PointData | null;
    parallel: PointData | null;
    logarithmic: boolean;
    average: string;
    period: number | null;
    since: string | null;
    origin: string;
    mark: string;
    markSession: string | null;
    grade: LevelGrade;
    timeFrame: TimeFrame;
    note: string;
    markedOn: string;
    standing: LevelStanding;
    retiredBecause: string;
    did: ReactionKind;
    reaction: string;
    touches: TouchData[];
    history: LevelChangeData[];
    ahead: string[];
}

export interface LevelTallyData {
    name: string;
    all: number;
    untouched: number;
    undecided: number;
    held: number;
    broke: number;
    rate: number | null;
    low: number | null;
    high: number | null;
    turn: number | null;
}

export interface LimitsData {
    relativeVolume: number;
    stretchAtr: number;
    deviations: number;
    streak: number;
    earningsSessions: number;
    turnover: number;
    brokenFor: number;
    farAt: number;
    farFor: number;
    accountValue: number;
    riskPercent: number;
    leastReward: number;
    noiseAtr: number;
    volumeShare: number;
    sideShare: number;
    groupMost: number;
}

export interface LineFaultData {
    line: number;
    field: string;
    reason: string;
    text: string;
}

export interface MarketData {
    gauges: GaugeData[];
    horizons: number[];
    groups: GroupData[];
    breadth: BreadthData | null;
    seasons: SeasonData[];
    events: MarketEventData[];
    otherEarnings: number;
    order: AverageSettingData[];
    until: string;
}

export interface MarketEventData {
    id: number;
    date: string;
    day: string;
    when: string;
    kind: string;
    title: string;
    symbol: string | null;
    source: string;
    ofCandidate: boolean;
    weight: number;
    note: string;
}

export interface MarketRunData {
    id: number;
    label: string;
    state: RunState;
    done: number;
    total: number;
    message: string | null;
}

export interface NearLevelData {
    price: string;
    origin: string;
    percent: string;
    atr: string | null;
}

export interface OddsData {
    state: string;
    cases: number;
    share: number | null;
    low: number | null;
    high: number | null;
    tooFew: boolean;
    allCases: number;
    allShare: number;
}

export interface OpenExitData {
    session: number;
    gapMin: string | null;
}

export interface OptionData {
    shape: OptionShape;
    right: OptionRight;
    expiry: string;
    multiplier: string;
    strikes: string[];
    premiums: string[];
    sentence: string;
    figures: FigureData[];
    points: PayoffPointData[];
    warnings: string[];
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
    remarks: string[];
}

export interface OutcomeEventData {
    when: string;
    session: string | null;
    what: string;
    isFill: boolean;
    isExit: boolean;
    price: string | null;
    drawnAt: number | null;
    share: string | null;
    note: string;
}

export interface PaneData {
    kind: PaneKind;
    label: string;
    lines: PaneLineData[];
    guides: number[];
    low: number | null;
    high: number | null;
    decimals: number;
    note: string;
}

export interface PaneLineData {
    name: string;
    values: (number | null)[];
    bars: boolean;
}

export interface PaneSettingData {
    kind: PaneKind;
    names: string[];
    values: number[];
    symbol: string | null;
}

export interface PayoffPointData {
    kind: string;
    label: string;
    price: string;
    value: number;
    gain: number;
    told: string;
}

export interface PeerData {
    instrumentId: number;
    symbol: string;
    name: string;
    kind: string;
    isChosen: boolean;
    leads: boolean;
    standsIn: boolean;
    onList: boolean;
    last: string | null;
    change: string | null;
    risen: number | null;
    correlation: number | null;
    facts: CandidateFactData[];
    closes: number[];
}

export interface PersonData {
    name: string;
    role: Role;
    tier: string | null;
    mayPlan: boolean;
    mayPublish: boolean;
    mayPlayMarket: boolean;
}

export interface PlanData {
    id: number;
    kind: PlanKind;
    kindLabel: string;
    session: string;
    sessionDate: string;
    opens: string;
    deadline: string;
    isLate: boolean;
    bias: string;
    undo: string | null;
    redo: string | null;
    revision: number;
    drafts: DraftData[];
    sessions: ChoiceData[];
    kinds: ChoiceData[];
}

export interface PlanKindPartsData {
    kind: PlanKind;
    label: string;
    titles: PlanPartTitleData[];
}

export interface PlanPartData {
    id: string;
    role: PartRole;
    title: string;
    text: string;
    place: string;
    readers: string;
    isRequired: boolean;
}

export interface PlanPartTitleData {
    title: string;
    place: string;
}

export interface PlanPartsSettingsData {
    kinds: PlanKindPartsData[];
    disclaimer: string;
    required: PartRole[];
}

export interface PointData {
    session: string;
    price: string;
}

export interface PreviewRowData {
    values: string[];
}

export interface QualityData {
    first: string | null;
    sessions: number;
    missing: number;
    missingSessions: string[];
    fineSessions: number;
    finePresent: number;
    fineExpected: number;
    corrections: CorrectionData[];
}

export interface RScaleData {
    entry: number;
    stop: number;
}

export interface ReaderSettingsData {
    name: string;
    address: string;
    role: string;
    mailsEditions: boolean;
    mailsUpdates: boolean;
    mailsAlerts: boolean;
    webhookUrl: string | null;
    webhookSecret: string | null;
    account: AccountData | null;
    feeds: FeedsData | null;
    sessions: SignedInData[];
    canLeave: boolean;
}

export interface ReadingNoteData {
    shape: string;
    cleanness: number | null;
    speaksFor: string;
    speaksAgainst: string;
    conviction: number | null;
    wrongIf: string;
    wrongAt: string | null;
}

export interface RecordRowData {
    edition: number;
    key: string;
    session: string;
    symbol: string;
    variant: string;
    isFirst: boolean;
    kind: string;
    name: string;
    sentence: string;
    followed: FollowedData;
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
    managed: number;
    managedRealised: string;
    managedOpen: string;
}

export interface ReferenceData {
    name: string;
    says: string;
}

export interface RehearsalCaseData {
    number: number;
    symbol: string;
    session: string;
    date: string;
    level: string;
    what: string;
    r: string | null;
    value: number | null;
    counts: boolean;
}

export interface RehearsalData {
    id: number;
    state: RunState;
    done: number;
    total: number;
    message: string | null;
    at: string;
    scope: RehearsalScope;
    sessions: number;
    rule: string[];
    figures: FigureData[];
    tooFew: string | null;
    cases: RehearsalCaseData[];
    isStale: boolean;
}

export interface RehearsalDeskData {
    choices: string[];
    group: string;
    others: number;
    last: RehearsalData | null;
}

export interface RehearsedCaseData {
    number: number;
    of: number;
    candidate: number;
    symbol: string;
    name: string;
    date: string;
    standsAt: string;
    level: string;
    side: Side;
    sentence: string;
    entries: string[];
    stop: string;
    targets: string[];
    chart: ChartData;
    after: number;
    what: string;
    r: string | null;
    strip: StripData;
    events: OutcomeEventData[];
}

export interface RequestData {
    id: number;
    symbol: string;
    name: string;
    state: RequestState;
    askers: AskedData[];
    reason: string;
    edition: number | null;
    since: string;
}

export interface RetiredLevelData {
    id: number;
    words: string;
    origin: string;
    retiredOn: string;
    because: string;
}

export interface ReviewData {
    since: string;
    groups: ReviewGroupData[];
    closed: number;
    realised: string | null;
    best: string | null;
    worst: string | null;
    openCount: number;
    open: string | null;
    waiting: number;
    notTriggered: number;
    neverFilled: number;
    levels: ReviewLevelData[];
}

export interface ReviewGroupData {
    key: string;
    label: string;
    items: ReviewItemData[];
}

export interface ReviewItemData {
    id: number;
    edition: number;
    key: string;
    symbol: string;
    company: string;
    name: string;
    kind: string;
    publishedAt: string;
    sentence: string;
    followed: FollowedData;
    reason: ReasonJudgement | null;
    result: ResultJudgement | null;
    note: string;
    isLetGo: boolean;
    offers: Relation[];
    carried: Relation | null;
    candidateId: number | null;
    updates: UpdateOfferData[];
    isSettled: boolean;
}

export interface ReviewLevelData {
    symbol: string;
    price: string;
    origin: string;
    kind: TouchKind;
    session: string;
}

export interface RosterReportData {
    invited: number;
    changed: number;
    same: number;
    faults: LineFaultData[];
}

export interface ScanHitData {
    instrument: InstrumentData;
    value: string;
    note: string;
    last: string | null;
    facts: CandidateFactData[];
    closes: number[];
    onList: boolean;
}

export interface SeasonData {
    symbol: string;
    cycle: string;
    months: SeasonMonthData[];
}

export interface SeasonMonthData {
    month: string;
    coming: boolean;
    years: number;
    mean: number | null;
    median: number | null;
    rises: number | null;
    cycleYears: number;
    cycleMean: number | null;
    cycleRises: number | null;
}

export interface SessionData {
    day: string;
    hours: string;
    utc: string;
    note: string;
}

export interface SetupData {
    begun: boolean;
    side: Side;
    legs: LegData[];
    offered: TriggerKind[];
    stop: string | null;
    stopCloses: CloseRuleData | null;
    cancel: string | null;
    cancelSide: CancelSide;
    cancelCloses: CloseRuleData | null;
    targets: TargetData[];
    conditions: ConditionData[];
    stopMoves: StopMoveData[];
    timeStop: number | null;
    openExit: OpenExitData | null;
    goodFor: number;
    goodUntil: string;
    missing: string[];
    warnings: string[];
    figures: FigureData[];
    stopOffers: StopOfferData[];
    kind: number | null;
    checklist: ChecklistData | null;
    option: OptionData | null;
    sentence: string | null;
    risk: string | null;
    riskPercent: string | null;
    scale: RScaleData | null;
    strip: StripData | null;
}

export interface SetupKindData {
    id: number;
    name: string;
    hasDefaults: boolean;
    checklist: SetupKindLineData[];
}

export interface SetupKindLineData {
    kind: string;
    value: string;
}

export interface SignedInData {
    what: string;
    address: string;
    lastSeen: string;
    isHere: boolean;
}

export interface StopMoveData {
    after: string;
    afterValue: string | null;
    to: string;
    price: string | null;
    number: string | null;
    timeframe: string | null;
    type: string | null;
    period: string | null;
    multiple: string | null;
    bars: string | null;
    text: string;
}

export interface StopOfferData {
    place: StopPlace;
    price: string;
    why: string;
    distance: string;
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

export interface SubscriberData {
    id: number;
    name: string;
    address: string;
    tier: string;
    standing: string;
    hasJoined: boolean;
    getsMails: boolean;
    getsWebhook: boolean;
}

export interface TargetData {
    price: string;
    share: string;
    r: string | null;
}

export interface ThesisData {
    speaksFor: string;
    speaksAgainst: string;
    conviction: number | null;
    wrongIf: string;
    wrongAt: string | null;
}

export interface TierData {
    id: number;
    key: string;
    name: string;
    sees: Sees;
    opensAfterHours: number | null;
    isVisitors: boolean;
    readers: number;
}

export interface TouchData {
    session: string;
    date: string;
    price: string;
    value: number;
    kind: TouchKind;
    beforeMarked: boolean;
}

export interface UpdateData {
    id: number;
    when: string;
    what: string;
    text: string;
    noEffect: string | null;
}

export interface UpdateOfferData {
    kind: UpdateKind;
    label: string;
    now: string;
    number: number | null;
}

export interface VariantData {
    number: number;
    name: string;
    side: Side;
    short: string | null;
    sentence: string | null;
    strip: StripData | null;
}

export interface VariantOfferData {
    kind: VariantKind;
    label: string;
}

export interface WorkbenchData {
    candidate: CandidateData;
    ladder: LadderRowData[];
    sessions: string[];
    retired: RetiredLevelData[];
    asOf: string | null;
    setup: SetupData;
    variant: number;
    eitherOr: boolean;
    ways: VariantOfferData[];
    kinds: SetupKindData[];
    note: ReadingNoteData;
    atr: string | null;
    atrValue: number | null;
    undo: string | null;
    redo: string | null;
    planId: number;
    revision: number;
}
