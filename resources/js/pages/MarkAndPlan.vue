<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3';
import SelectButton from 'primevue/selectbutton';
import { computed, nextTick, onBeforeUnmount, onMounted, ref, toRaw, toRef, watch } from 'vue';
import BesideChart from '@/chart/BesideChart.vue';
import ChartChooser from '@/chart/ChartChooser.vue';
import { FRAMES } from '@/chart/frames';
import { nextKind, nextStop } from '@/lib/setup';
import Ladder from '@/chart/Ladder.vue';
import { LAYERS, shownRows } from '@/chart/layers';
import { lineOf, type PriceLine } from '@/chart/lines';
import { useLook } from '@/chart/look';
import { measured } from '@/chart/measure';
import { panesHeight } from '@/chart/panes';
import PriceChart from '@/chart/PriceChart.vue';
import { DATE_AXIS, near, priceScale } from '@/chart/scales';
import type { Snapped } from '@/chart/snap';
import TimeStrip from '@/chart/TimeStrip.vue';
import { useChartView } from '@/chart/view';
import AppShell from '@/components/AppShell.vue';
import CandidateHead from '@/components/CandidateHead.vue';
import CandidateRail from '@/components/CandidateRail.vue';
import ChosenRow from '@/components/ChosenRow.vue';
import FoundSheet from '@/components/FoundSheet.vue';
import KindBar, { type KindChanges } from '@/components/KindBar.vue';
import LayerBar from '@/components/LayerBar.vue';
import LevelSheet from '@/components/LevelSheet.vue';
import NewLevel from '@/components/NewLevel.vue';
import NewLevelDialog from '@/components/NewLevelDialog.vue';
import OptionEditor from '@/components/OptionEditor.vue';
import PassForm from '@/components/PassForm.vue';
import ReadingNote from '@/components/ReadingNote.vue';
import RehearsalDesk from '@/components/RehearsalDesk.vue';
import RetiredLevels from '@/components/RetiredLevels.vue';
import RStrip from '@/components/RStrip.vue';
import SetupEditor from '@/components/SetupEditor.vue';
import UndoButtons from '@/components/UndoButtons.vue';
import VariantBar from '@/components/VariantBar.vue';
import ViewBar from '@/components/ViewBar.vue';
import { useBench, type LevelChanges } from '@/lib/bench';
import { useEvidence } from '@/lib/evidence';
import { useShortcuts } from '@/lib/keys';
import { useMovingPrice } from '@/lib/moving';
import { usePicking, type Pick } from '@/lib/picking';
import { snap, type Grid } from '@/lib/price';
import { useUndo } from '@/lib/undo';
import { useWidth } from '@/lib/width';
import type {
    CandidateFactData,
    CandidateLinkData,
    ChartData,
    ChartSettingsData,
    ChartViewData,
    ChoiceData,
    LadderRowData,
    LimitsData,
    TimeFrame,
    WorkbenchData,
} from '@/types/data';

const props = defineProps<{
    links: CandidateLinkData[];
    chart: ChartData;
    larger: ChartData | null;
    view: ChartViewData;
    settings: ChartSettingsData;
    workbench: WorkbenchData;
    facts: CandidateFactData[];
    judges: ChoiceData[];
    limits: LimitsData;
    strip?: ChartData[];
}>();

/** Height of what stands below the chart. */
const BELOW = 114;
const STRIP = 104;
/** Width of the larger chart beside. */
const BESIDE = 132;

// What comes with the page is only read: taken out of its proxies, hundreds of bars are walked several times as fast.
const chart = computed(() => toRaw(props.chart));
const larger = computed(() => toRaw(props.larger));
const strip = computed(() => toRaw(props.strip));

const asOf = ref<string | null>(null);
const variant = ref(props.workbench.variant);
const asked = computed(() => ({ frame: chart.value.timeFrame, asOf: asOf.value, variant: variant.value }));
const {
    bench,
    errors,
    newLevelError,
    keeping,
    query,
    change,
    plan,
    refresh,
    setRow,
    deleteRow,
    use,
    describe,
    mark,
    adopt,
    settled,
} = useBench(
    computed(() => toRaw(props.workbench)),
    asked,
);
// a variant that was added is in hand; one that is gone gives way
watch(
    () => bench.value.variant,
    (number) => (variant.value = number),
    { flush: 'sync' },
);
const candidate = computed(() => bench.value.candidate);
const instrument = computed(() => candidate.value.instrument);
const setup = computed(() => bench.value.setup);
const grid = computed<Grid>(() => ({ decimals: instrument.value.decimals, tick: instrument.value.tick }));

const { moving, motion, start, move, nudgeRow, end } = useMovingPrice(bench, grid, setRow, (row, low, high) =>
    describe(row, { low, high }),
);
const rows = computed(() => bench.value.ladder);
const { view, zoom, pan, all, newest, leaving, reset } = useChartView(chart, props.view);

const candidateId = computed(() => props.workbench.candidate.id);
const look = useLook(toRef(props, 'view'), candidateId, chart, leaving);
const { layers, clean, log, held, strip: stripShown, snaps, beside } = look;

const chosen = ref<string | null>(null);
const chosenRow = computed(() => rows.value.find((row) => row.key === chosen.value) ?? null);
const { sheet, evidence, marks } = useEvidence(bench, chosenRow, query);
const variantBar = ref<InstanceType<typeof VariantBar>>();
const newPrice = ref('');
const ladder = ref<InstanceType<typeof Ladder>>();
const chooser = ref<InstanceType<typeof ChartChooser>>();
const mainChart = ref<InstanceType<typeof PriceChart>>();
const layerBar = ref<InstanceType<typeof LayerBar>>();
const newLevelOpen = ref(false);

type Desk = 'setup' | 'level' | 'reading' | 'rehearsal';
const DESKS: { value: Desk; label: string }[] = [
    { value: 'setup', label: 'Setup' },
    { value: 'level', label: 'Level' },
    { value: 'reading', label: 'Reading' },
    { value: 'rehearsal', label: 'Rehearsal' },
];
const desk = ref<Desk>('setup');

const chartBox = ref<HTMLElement>();
const width = useWidth(chartBox, 600);
const mainWidth = computed(() => (larger.value === null ? width.value : width.value - BESIDE - 4));
const fullHeight = ref(500);
const height = computed(() => fullHeight.value - (stripShown.value ? STRIP : 0));
const plotHeight = computed(() => height.value - DATE_AXIS - panesHeight(chart.value));

const visibleRows = computed(() => shownRows(rows.value, layers.value, clean.value));

// The scale holds still while a price is moved: it follows what is kept.
const y = computed(() => {
    const prices = bench.value.ladder.filter((row) => row.kind !== 'found' && row.curve.length === 0).map((row) => row.value);
    return priceScale(chart.value, view.value, near(chart.value, view.value, prices), plotHeight.value, {
        log: log.value,
        held: held.value,
    });
});
const lines = computed<PriceLine[]>(() =>
    visibleRows.value
        // averages are drawn by the chart itself
        .filter((row) => row.kind !== 'found' || row.layer !== 'averages' || row.key === chosen.value)
        .map((row) => {
            // a found line is drawn as it slopes once it is chosen
            const slope = row.key === chosen.value && row.kind === 'found' ? (evidence.value?.curve ?? []) : row.curve;
            return lineOf({ ...row, curve: slope }, setup.value.side, chart.value, bench.value.sessions);
        }),
);
function toLadder(key: string | null): void {
    chosen.value = key;
    ladder.value?.focusRow(key);
}

/** A click in the chart: a level there, tied to the bar it was snapped to. */
async function markAt(value: number, snapped: Snapped | null): Promise<void> {
    const price = snapped === null ? snap(value, grid.value) : snapped.value.toFixed(grid.value.decimals);
    const session = snapped === null ? null : (chart.value.sessions[snapped.index] ?? null);
    const level: LevelChanges =
        snapped === null || session === null
            ? { price }
            : { form: 'mark', price, mark: snapped.what, session, origin: `${snapped.what} of ${session}` };
    const key = await mark({ ...level, timeFrame: chart.value.timeFrame });
    if (key !== null) {
        toLadder(key);
    }
}

async function markTyped(price: string): Promise<void> {
    const key = await mark({ price, timeFrame: chart.value.timeFrame });
    if (key !== null) {
        newPrice.value = '';
        chosen.value = key;
    }
}

async function markForm(level: LevelChanges): Promise<void> {
    const key = await mark({ ...level, timeFrame: chart.value.timeFrame });
    if (key !== null) {
        newLevelOpen.value = false;
        toLadder(key);
    }
}

async function takeOver(row: LadderRowData): Promise<void> {
    const key = await adopt(row);
    if (key !== null) {
        toLadder(key);
    }
}

const {
    picking,
    words: pickWords,
    pick: beginPick,
    picked,
    leave: leavePick,
} = usePicking(chart, grid, chosenRow, log, {
    mark: async (level) => {
        const key = await mark({ ...level, timeFrame: chart.value.timeFrame }, 'note');
        if (key !== null) {
            toLadder(key);
        }
    },
    describe,
});

function pick(what: Pick): void {
    newLevelOpen.value = false;
    beginPick(what);
}

// A measure from one row of the ladder to another, by key; on the chart it is a drag with Shift.
const measureFrom = ref<LadderRowData | null>(null);
const rowMeasure = computed(() => {
    const from = measureFrom.value;
    const to = chosenRow.value;
    return from === null || to === null || from.key === to.key
        ? null
        : `${from.price} to ${to.price}: ${measured(
              { index: 0, value: from.value },
              { index: 0, value: to.value },
              grid.value.decimals,
              bench.value.atrValue,
              setup.value.scale,
          ).join(', ')}`;
});

/** A digit typed on the ladder begins the price of a new level. */
function beginLevel(digit: string): void {
    newPrice.value = digit;
    void nextTick(() => document.getElementById('new-level')?.focus());
}

/** Delete a row; the one that takes its place is chosen, so that work goes on from there. */
async function removeRow(row: LadderRowData): Promise<void> {
    const place = visibleRows.value.findIndex((one) => one.key === row.key);
    const inLadder = document.activeElement?.closest('.ladder') !== null;
    if (await deleteRow(row)) {
        const next = visibleRows.value[Math.min(place, visibleRows.value.length - 1)]?.key ?? null;
        chosen.value = next;
        if (inLadder) {
            ladder.value?.focusRow(next);
        }
    }
}

/** Everything of a level, with the first field at hand. */
function openRow(row: LadderRowData): void {
    chosen.value = row.key;
    desk.value = 'level';
    window.setTimeout(() => document.querySelector<HTMLElement>('.plan-desk .desk input, .plan-desk .desk button')?.focus(), 180);
}

function useRow(row: LadderRowData, as: 'entry' | 'stop' | 'target'): void {
    desk.value = 'setup';
    void use(row, as);
}

function leaveDesk(): void {
    ladder.value?.focusRow(chosen.value);
}

function neighbour(step: 1 | -1): CandidateLinkData | undefined {
    return props.links[props.links.findIndex((link) => link.id === candidate.value.id) + step];
}

function go(step: 1 | -1): void {
    const next = neighbour(step);
    if (next !== undefined) {
        toCandidate(next.id);
    }
}

let leftKept: Promise<unknown> = Promise.resolve();

/** Another candidate, on the same screen: only what differs is drawn anew. */
function toCandidate(id: number): void {
    if (id === candidateId.value) {
        return;
    }
    // what is being typed or moved is kept first
    (document.activeElement as HTMLElement | null)?.blur();
    void end();
    leftKept = Promise.all([look.keep(), settled()]);
    router.visit(`/plan/mark/${id}`, { preserveState: true, preserveScroll: true });
}

// What belongs to one candidate ends with it; the chart opens as it was left.
watch(candidateId, () => {
    chosen.value = null;
    leavePick();
    measureFrom.value = null;
    asOf.value = null;
    variant.value = props.workbench.variant;
    newPrice.value = '';
    errors.value = {};
    newLevelError.value = null;
    reset({ bars: props.view.bars, back: props.view.back });
    mainChart.value?.forgetMeasure();
    look.reopen();
    askStrip();
    void fetchAhead();
    // what was fetched ahead does not know of changes made since
    window.setTimeout(() => {
        void refresh();
        router.reload({ only: ['links', 'dayLine'] });
    }, 400);
});

/** Another time frame: the same levels on other bars. */
function showFrame(frame: TimeFrame | undefined): void {
    if (frame !== undefined && frame !== chart.value.timeFrame) {
        held.value = null;
        router.reload({
            only: ['chart', 'larger', 'workbench'],
            data: { frame, larger: beside.value ?? '', variant: variant.value },
        });
    }
}

function stepFrame(step: 1 | -1): void {
    showFrame(FRAMES[FRAMES.findIndex((frame) => frame.value === chart.value.timeFrame) + step]?.value);
}

/** The chart beside: none, or the next larger time frame, in turn. */
function stepBeside(): void {
    const here = FRAMES.findIndex((frame) => frame.value === chart.value.timeFrame);
    const choices = [
        null,
        ...FRAMES.slice(here + 1)
            .filter((frame) => frame.value !== '4h')
            .map((frame) => frame.value),
    ];
    const at = choices.indexOf(larger.value?.timeFrame ?? null);
    beside.value = choices[(at + 1) % choices.length] ?? null;
    router.reload({ only: ['larger'], data: { frame: chart.value.timeFrame, larger: beside.value ?? '' } });
}

function toggleHeld(): void {
    const [low = 0, high = 1] = y.value.domain();
    held.value = held.value === null ? [low, high] : null;
}

function askStrip(): void {
    if (stripShown.value && strip.value === undefined) {
        router.reload({ only: ['strip'] });
    }
}

watch(stripShown, askStrip);

function chooseVariant(number: number): void {
    if (number !== variant.value) {
        variant.value = number;
        chosen.value = null;
        void refresh();
    }
}

/** The setup in hand becomes one of a kind, at the chosen price of the ladder if there is one. */
function applyKind(id: number): void {
    void change('POST', `/kinds/${id}/apply`, {
        price: chosenRow.value?.kind === 'last' ? null : (chosenRow.value?.price ?? null),
    });
}

async function keepKind(id: number | null, changes: KindChanges, kept: () => void): Promise<void> {
    if (await change(id === null ? 'POST' : 'PATCH', id === null ? '/kinds' : `/kinds/${id}`, changes)) {
        kept();
    }
}

async function showAsOf(date: string | null): Promise<void> {
    asOf.value = date;
    await refresh();
}

function onChosen(run: (row: LadderRowData) => unknown): () => void {
    return () => {
        if (chosenRow.value !== null) {
            void run(chosenRow.value);
        }
    };
}

const { travel, undoKeys } = useUndo(
    ({ candidateId: to }) => {
        errors.value = {};
        if (to !== null && to !== candidateId.value) {
            toCandidate(to);
        } else {
            void refresh();
            router.reload({ only: ['links', 'dayLine'] });
        }
    },
    async () => {
        await end();
        await settled();
    },
);

const elsewhere = { run: () => {}, told: true };

useShortcuts([
    { keys: 'j', does: 'next candidate', run: () => go(1) },
    { keys: 'k', does: 'candidate before', run: () => go(-1) },
    { keys: 'm', does: 'mark a level: type its price', run: () => document.getElementById('new-level')?.focus() },
    { keys: 'M', does: 'mark a zone, line, average or ratios', run: () => (newLevelOpen.value = true) },
    { keys: '/', does: 'pick the two points of a line', run: () => pick('line') },
    { keys: '%', does: 'pick the two points of a move, for its ratios', run: () => pick('swing') },
    { keys: 'l', does: 'to the ladder', run: () => toLadder(chosen.value ?? visibleRows.value[0]?.key ?? null) },
    { keys: 'ArrowUp ArrowDown', does: 'ladder: row above, row below', ...elsewhere },
    { keys: 'PageUp PageDown', does: 'ladder: your own row above, below', ...elsewhere },
    { keys: 'Alt+ArrowUp Alt+ArrowDown', does: 'ladder: a tick up or down, with Shift ten', ...elsewhere },
    { keys: '0 to 9', does: 'ladder: type the price of a new level', ...elsewhere },
    { keys: 'Enter', does: 'ladder: all of the level, or open a group', ...elsewhere },
    { keys: 'F2', does: 'ladder: type the price anew', ...elsewhere },
    { keys: 'a', does: 'take the chosen found level over', run: onChosen((row) => row.kind === 'found' && takeOver(row)) },
    { keys: 'e', does: 'make the chosen price the entry', run: onChosen((row) => useRow(row, 'entry')) },
    { keys: 's', does: 'make it the stop', run: onChosen((row) => useRow(row, 'stop')) },
    { keys: 't', does: 'make it a target', run: onChosen((row) => useRow(row, 'target')) },
    {
        keys: 'o',
        does: 'name the origin of the chosen level',
        run: () => document.querySelector<HTMLInputElement>('#origin input, input#origin')?.focus(),
    },
    {
        keys: 'g',
        does: 'major or minor',
        run: onChosen((row) => row.kind === 'level' && describe(row, { grade: row.grade === 'major' ? 'minor' : 'major' })),
    },
    {
        keys: 'Shift+Delete',
        does: 'lay the chosen level aside',
        run: onChosen((row) => row.kind === 'level' && change('POST', `/levels/${row.levelId}/retire`)),
    },
    { keys: 'v', does: 'measure from the chosen row: then choose another', run: () => (measureFrom.value = chosenRow.value) },
    {
        keys: 'Delete',
        does: 'delete the chosen level or plan price',
        run: onChosen((row) => row.kind !== 'last' && row.kind !== 'found' && removeRow(row)),
    },
    {
        keys: 'K',
        does: 'the next kind of entry that fits where price stands',
        run: () => {
            const kind = nextKind(setup.value);
            if (kind !== undefined) {
                void change('PATCH', '/setup', { trigger: kind });
            }
        },
    },
    {
        keys: 'B',
        does: 'the stop behind structure, the next place in turn',
        run: () => {
            const stop = nextStop(setup.value);
            if (stop !== undefined) {
                void change('PATCH', '/setup', { stop }, 'note');
            }
        },
    },
    {
        keys: 'E',
        does: 'rehearse the setup on the past',
        run: () => (desk.value = 'rehearsal'),
    },
    {
        keys: 'F',
        does: 'the kind of setup: choose it, to be put at the chosen level',
        run: () => {
            desk.value = 'setup';
            void nextTick(() => document.querySelector<HTMLElement>('#setup-kind, [aria-labelledby="setup-kind"]')?.focus());
        },
    },
    {
        keys: 'U',
        does: 'the next variant of the setup',
        run: () => chooseVariant((variant.value % Math.max(1, candidate.value.variants.length)) + 1),
    },
    {
        keys: 'Y',
        does: 'another way to trade it: a new variant',
        run: () => {
            desk.value = 'setup';
            void nextTick(() => variantBar.value?.open());
        },
    },
    {
        keys: 'x',
        does: 'turn the side: long or short',
        run: () => void change('PATCH', '/setup', { side: setup.value.side === 'long' ? 'short' : 'long' }),
    },
    {
        keys: 'r',
        does: 'what you read: shape, for and against',
        run: () => {
            desk.value = 'reading';
            void nextTick(() => document.getElementById('shape')?.focus());
        },
    },
    ...LAYERS.map((layer) => ({
        keys: layer.key,
        does: `show or hide ${layer.name}`,
        run: () => layerBar.value?.toggle(layer.value),
    })),
    { keys: 'C', does: 'clean chart: the setup and its nearest levels', run: () => (clean.value = !clean.value) },
    { keys: '+', does: 'fewer bars', run: () => zoom(1 / 1.25) },
    { keys: '-', does: 'more bars', run: () => zoom(1.25) },
    { keys: 'Home', does: 'all bars', run: all },
    { keys: 'End', does: 'the last bars', run: newest },
    { keys: 'ArrowLeft', does: 'earlier', run: () => pan(-10) },
    { keys: 'ArrowRight', does: 'later', run: () => pan(10) },
    { keys: '[', does: 'smaller time frame', run: () => stepFrame(-1) },
    { keys: ']', does: 'larger time frame', run: () => stepFrame(1) },
    ...FRAMES.map((frame) => ({ keys: frame.key, does: `chart by ${frame.name}`, run: () => showFrame(frame.value) })),
    { keys: 'W', does: 'a larger chart beside, in turn', run: stepBeside },
    { keys: 'S', does: 'all time frames in a strip', run: () => (stripShown.value = !stripShown.value) },
    { keys: 'L', does: 'logarithmic or linear scale', run: () => (log.value = !log.value) },
    { keys: 'H', does: 'hold the price scale, or let it follow', run: toggleHeld },
    { keys: 'T', does: 'marks snap to highs, lows and closes, or not', run: () => (snaps.value = !snaps.value) },
    { keys: 'c', does: 'averages and panes of the chart', run: () => chooser.value?.open() },
    {
        keys: 'b',
        does: 'all that is known of the instrument',
        run: () => router.visit(`/instruments/${instrument.value.symbol}`),
    },
    ...undoKeys,
    { keys: 'n', does: 'pass it: type the reason', run: () => document.getElementById('pass-reason')?.focus() },
    { keys: 'p', does: 'to Publish', run: () => router.visit('/plan/publish') },
    {
        keys: 'Escape',
        does: 'leave a measure or the picking of points',
        run: () => {
            leavePick();
            measureFrom.value = null;
            mainChart.value?.forgetMeasure();
        },
    },
]);

function measure(): void {
    const top = chartBox.value?.getBoundingClientRect().top ?? 120;
    fullHeight.value = Math.max(320, Math.min(900, window.innerHeight - top - BELOW));
}

/**
 * The neighbours are fetched ahead, so that their charts stand at once; after half a minute they are forgotten.
 */
async function fetchAhead(): Promise<void> {
    await leftKept;
    for (const step of [1, -1] as const) {
        const link = neighbour(step);
        if (link !== undefined) {
            router.prefetch(
                `/plan/mark/${link.id}`,
                { method: 'get', preserveState: true, preserveScroll: true },
                { cacheFor: '30s' },
            );
        }
    }
}

onMounted(() => {
    void nextTick(measure);
    window.addEventListener('resize', measure);
    askStrip();
    void fetchAhead();
});
onBeforeUnmount(() => window.removeEventListener('resize', measure));
</script>

<template>
    <AppShell :title="`${instrument.symbol}, mark and plan`" step="mark">
        <div class="rail">
            <CandidateRail :links="links" :here="candidate.id" @go="toCandidate" />
            <span class="kept muted">{{ keeping ? 'Keeping…' : 'Draft kept' }}</span>
            <UndoButtons :undo="bench.undo" :redo="bench.redo" @travel="travel" />
        </div>

        <div class="bench">
            <section class="reading-desk" aria-label="Chart and ladder">
                <header class="title">
                    <h1>
                        <Link :href="`/instruments/${instrument.symbol}`" class="symbol">{{ instrument.symbol }}</Link>{{ ' ' }}
                        <span class="name">{{ instrument.name }}</span>
                    </h1>
                    <span class="choices">
                        <SelectButton
                            :model-value="chart.timeFrame"
                            :options="FRAMES"
                            option-label="label"
                            option-value="value"
                            :allow-empty="false"
                            size="small"
                            class="frames"
                            aria-label="Time frame"
                            @update:model-value="showFrame"
                        />
                    </span>
                </header>
                <LayerBar
                    ref="layerBar"
                    v-model="layers"
                    :rows="rows"
                    :clean="clean"
                    :as-of="asOf"
                    :newest="bench.sessions[bench.sessions.length - 2] ?? ''"
                    @clean="clean = !clean"
                    @as-of="showAsOf"
                />
                <div class="side-by-side">
                    <div class="chart-column">
                        <div id="bar-reading" class="bar-reading"></div>
                        <ViewBar
                            v-model:log="log"
                            v-model:snaps="snaps"
                            v-model:strip="stripShown"
                            :words="pickWords ?? rowMeasure"
                            :held="held !== null"
                            :beside="larger?.timeFrame ?? null"
                            @hold="toggleHeld"
                            @beside="stepBeside"
                            @line="pick('line')"
                            @more="newLevelOpen = true"
                        >
                            <ChartChooser ref="chooser" :settings="settings" :benchmark="instrument.benchmark" />
                        </ViewBar>
                        <div ref="chartBox" class="chart-box">
                            <BesideChart
                                v-if="larger !== null"
                                :chart="larger"
                                :rows="visibleRows"
                                :sessions="bench.sessions"
                                :side="setup.side"
                                :log="log"
                                :width="BESIDE"
                                :height="height"
                                :name="`${instrument.symbol} ${instrument.name}`"
                                :chosen="chosen"
                            />
                            <PriceChart
                                ref="mainChart"
                                :chart="chart"
                                :window="view"
                                :y="y"
                                :width="mainWidth"
                                :height="height"
                                :lines="lines"
                                :scale="setup.scale"
                                :name="`${instrument.symbol} ${instrument.name}`"
                                interactive
                                :marks="marks"
                                :chosen="chosen"
                                :moving="moving"
                                :motion="motion"
                                :picked="picking?.points ?? null"
                                :snaps="snaps"
                                :atr="bench.atrValue"
                                :as-of="asOf"
                                reading-in="#bar-reading"
                                @place="markAt"
                                @pick="picked"
                                @choose="chosen = $event"
                                @move-start="start"
                                @move="move"
                                @move-end="end"
                                @zoom="zoom"
                                @pan="pan"
                                @hold="held = $event"
                            />
                        </div>
                    </div>
                    <Ladder
                        ref="ladder"
                        :rows="visibleRows"
                        :y="y"
                        :height="plotHeight"
                        :side="setup.side"
                        :chosen="chosen"
                        :moving="moving"
                        :motion="motion"
                        @choose="chosen = $event"
                        @move-start="start"
                        @move="move"
                        @move-end="end"
                        @set="setRow"
                        @use="useRow"
                        @remove="removeRow"
                        @begin="beginLevel"
                        @nudge="nudgeRow"
                        @open="openRow"
                        @adopt="takeOver"
                    />
                </div>
                <TimeStrip
                    v-if="stripShown"
                    :charts="strip"
                    :width="932"
                    :shown="chart.timeFrame"
                    :rows="visibleRows"
                    :sessions="bench.sessions"
                    :side="setup.side"
                    :name="instrument.symbol"
                    @show="showFrame"
                />
                <div class="under">
                    <ChosenRow
                        :row="chosenRow"
                        @describe="describe"
                        @use="useRow"
                        @remove="removeRow"
                        @adopt="takeOver"
                        @open="openRow"
                        @done="ladder?.focusRow(chosen)"
                    />
                    <NewLevel v-model="newPrice" :error="newLevelError" @mark="markTyped" />
                </div>
                <div class="read-out">
                    <p v-if="setup.sentence" class="sentence">{{ setup.sentence }}</p>
                    <p v-else-if="setup.begun" class="sentence muted">
                        The setup still needs
                        {{ setup.missing.map((part) => (part === 'entry' ? 'an entry' : `a ${part}`)).join(' and ') }}.
                    </p>
                    <p v-else class="sentence muted">
                        No setup yet: choose a level and press e for the entry, s for the stop, t for a target.
                    </p>
                    <RStrip v-if="setup.strip" :strip="setup.strip" :width="280" labels />
                </div>
            </section>
            <aside class="plan-desk">
                <CandidateHead :candidate="candidate" :atr="bench.atr" :facts="facts" :limits="limits" />
                <SelectButton
                    v-model="desk"
                    :options="DESKS"
                    option-label="label"
                    option-value="value"
                    :allow-empty="false"
                    size="small"
                    class="desks"
                    aria-label="What is worked on"
                />
                <div class="desk">
                    <template v-if="desk === 'setup'">
                        <VariantBar
                            ref="variantBar"
                            :variants="candidate.variants"
                            :number="bench.variant"
                            :either-or="bench.eitherOr"
                            :ways="bench.ways"
                            :errors="errors"
                            @choose="chooseVariant"
                            @add="(kind) => change('POST', '/variants', { kind })"
                            @tie="(changes) => change('PATCH', '/variants', changes)"
                        />
                        <KindBar
                            :kinds="bench.kinds"
                            :setup="setup"
                            :judges="judges"
                            :errors="errors"
                            @apply="applyKind"
                            @keep="keepKind"
                            @retire="(id) => change('DELETE', `/kinds/${id}`)"
                            @tick="(line, ticked) => change('PATCH', '/checklist', { line, ticked })"
                        />
                        <SetupEditor
                            :setup="setup"
                            :grid="grid"
                            :errors="errors"
                            @change="plan"
                            @clear="change('DELETE', '/setup')"
                        />
                        <OptionEditor
                            :key="`${candidate.id} ${bench.variant}`"
                            :option="setup.option"
                            :setup="setup"
                            :errors="errors"
                            @change="(option) => change('PATCH', '/option', { option })"
                        />
                        <PassForm :candidate="candidate" />
                    </template>
                    <template v-else-if="desk === 'level'">
                        <LevelSheet
                            v-if="chosenRow?.kind === 'level' && sheet !== null"
                            :key="sheet.id"
                            :sheet="sheet"
                            :grid="grid"
                            :errors="errors"
                            @change="describe(chosenRow, $event)"
                            @retire="change('POST', `/levels/${sheet?.id}/retire`)"
                            @restore="change('POST', `/levels/${sheet?.id}/restore`)"
                            @remove="removeRow(chosenRow)"
                            @channel="pick('channel')"
                            @done="leaveDesk"
                        />
                        <FoundSheet
                            v-else-if="chosenRow?.kind === 'found'"
                            :row="chosenRow"
                            :evidence="evidence"
                            @adopt="takeOver(chosenRow)"
                            @done="leaveDesk"
                        />
                        <p v-else class="muted">
                            Choose a level on the ladder: its reason, its visits and its history stand here.
                        </p>
                        <RetiredLevels :levels="bench.retired" @restore="change('POST', `/levels/${$event}/restore`)" />
                    </template>
                    <RehearsalDesk
                        v-else-if="desk === 'rehearsal'"
                        :candidate="candidate.id"
                        :symbol="instrument.symbol"
                        :variant="bench.variant"
                        :setup="setup"
                    />
                    <ReadingNote
                        v-else
                        :key="candidate.id"
                        :note="bench.note"
                        :grid="grid"
                        :errors="errors"
                        @change="change('PATCH', '/note', $event)"
                    />
                </div>
            </aside>
        </div>
        <NewLevelDialog
            v-model:visible="newLevelOpen"
            :error="newLevelError"
            :last-session="bench.sessions[bench.sessions.length - 2] ?? ''"
            @mark="markForm"
            @pick="pick"
        />
    </AppShell>
</template>

<style scoped>
.rail {
    display: flex;
    align-items: center;
    gap: 2px;
    height: 36px;
    padding: 0 16px;
    border-bottom: 1px solid var(--hair);
}
.kept {
    padding: 0 8px;
    font-size: 12px;
    white-space: nowrap;
}
.bench {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 316px;
    min-height: calc(100vh - 93px);
}
.reading-desk {
    min-width: 0;
    padding: 8px 16px;
}
.plan-desk {
    padding: 12px 16px;
    border-left: 1px solid var(--hair-2);
    background: var(--sheet);
}
.title {
    display: flex;
    align-items: baseline;
    justify-content: space-between;
    gap: 16px;
    height: 28px;
    white-space: nowrap;
}
.name {
    font-weight: 400;
    color: var(--ink-2);
}
.symbol {
    text-decoration: none;
}
.symbol:hover {
    text-decoration: underline;
}
.choices {
    display: inline-flex;
    align-self: center;
    align-items: center;
    gap: 4px;
}
.frames :deep(.p-togglebutton-content) {
    padding: 0 7px;
}
.frames :deep(.p-togglebutton-checked .p-togglebutton-label) {
    color: var(--ink);
    font-weight: 650;
}
.bar-reading {
    height: 18px;
    overflow: hidden;
}
.chart-column {
    min-width: 0;
}
.desks {
    display: flex;
    margin-bottom: 8px;
}
.desks :deep(.p-togglebutton) {
    flex: 1;
}
.side-by-side,
.under {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 336px;
    gap: 4px;
}
.chart-box {
    contain: layout style;
    display: flex;
    gap: 4px;
    min-width: 0;
}
.under {
    align-items: center;
    min-height: 36px;
    border-top: 1px solid var(--hair);
}
.read-out {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 24px;
    align-items: center;
    min-height: 62px;
    padding-top: 4px;
    border-top: 1px solid var(--hair);
}
.sentence {
    font: 400 16px/22px var(--serif);
    text-wrap: pretty;
}
.sentence.muted {
    color: var(--ink-3);
}
@media (max-width: 1000px) {
    .bench {
        grid-template-columns: minmax(0, 1fr);
    }
    .plan-desk {
        border-left: 0;
        border-top: 1px solid var(--hair-2);
    }
}
</style>
