<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3';
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import Select from 'primevue/select';
import SelectButton from 'primevue/selectbutton';
import { useToast } from 'primevue/usetoast';
import { computed, nextTick, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue';
import AppShell from '@/components/AppShell.vue';
import UndoButtons from '@/components/UndoButtons.vue';
import RStrip from '@/components/RStrip.vue';
import SetupEditor from '@/components/SetupEditor.vue';
import Ladder from '@/chart/Ladder.vue';
import PriceChart from '@/chart/PriceChart.vue';
import { FRAMES } from '@/chart/frames';
import type { PriceLine } from '@/chart/lines';
import { lastBars, near, priceScale, type Window } from '@/chart/scales';
import { Refusal, send } from '@/lib/http';
import { useShortcuts } from '@/lib/keys';
import { useUndo } from '@/lib/undo';
import { draggedR, nudge, signed, snap, type Grid } from '@/lib/price';
import type { CandidateLinkData, ChartData, LadderRowData, PlanData, TimeFrame, WorkbenchData } from '@/types/data';

const props = defineProps<{ plan: PlanData; links: CandidateLinkData[]; chart: ChartData; workbench: WorkbenchData }>();

const FEWEST_BARS = 20;
const USUAL_BARS = 110;
const AXIS = 20;
/** Room kept below the prices for the volume. */
const VOLUME = 0.17;

const toast = useToast();
const bench = shallowRef(props.workbench);
const errors = ref<Record<string, string>>({});
const chosen = ref<string | null>(null);
const drag = ref<{ key: string; price: string } | null>(null);
const newPrice = ref('');
const newPriceError = ref<string | null>(null);
const kept = ref<'kept' | 'keeping'>('kept');
const ladder = ref<InstanceType<typeof Ladder>>();
const chartBox = ref<HTMLElement>();
const rail = ref<HTMLElement>();
const width = ref(600);
const height = ref(500);
const view = ref<Window>(lastBars(props.chart, USUAL_BARS));

watch(
    () => props.workbench,
    (next) => {
        const other = next.candidate.id !== bench.value.candidate.id;
        bench.value = next;
        if (other) {
            errors.value = {};
            chosen.value = null;
            drag.value = null;
            newPrice.value = '';
            newPriceError.value = null;
        }
    },
);
watch(
    () => props.chart,
    (next, before) => {
        const count = view.value.last - view.value.first + 1;
        view.value = lastBars(next, next.timeFrame === before.timeFrame ? count : USUAL_BARS);
    },
);

const candidate = computed(() => bench.value.candidate);
const instrument = computed(() => candidate.value.instrument);
const grid = computed<Grid>(() => ({ decimals: instrument.value.decimals, tick: instrument.value.tick }));
const setup = computed(() => bench.value.setup);
const base = computed(() => `/plan/mark/${candidate.value.id}`);
const place = computed(() => props.links.findIndex((link) => link.id === candidate.value.id));

// The scale holds still while a price is dragged: it follows what is kept.
const y = computed(() =>
    priceScale(
        props.chart,
        view.value,
        near(
            props.chart,
            view.value,
            bench.value.ladder.map((row) => row.value),
        ),
        height.value - AXIS,
        VOLUME,
    ),
);
const rows = computed<LadderRowData[]>(() => {
    const moved = drag.value;
    if (moved === null) {
        return bench.value.ladder;
    }
    const entry = setup.value.scale;
    return bench.value.ladder
        .map((row) => {
            if (row.key !== moved.key) {
                return row;
            }
            const value = Number(moved.price);
            return {
                ...row,
                price: moved.price,
                value,
                percent: '0',
                atr: null,
                r: entry === null || row.key === 'entry' || row.key === 'stop' ? null : draggedR(value, entry.entry, entry.stop),
            };
        })
        .map((row) => (row.key === moved.key ? { ...row, percent: ((row.value / lastClose.value - 1) * 100).toFixed(2) } : row))
        .sort((a, b) => b.value - a.value);
});
const lastClose = computed(() => bench.value.ladder.find((row) => row.kind === 'last')?.value ?? 1);
const lines = computed<PriceLine[]>(() =>
    rows.value.map((row) => ({
        key: row.key,
        kind: row.kind,
        value: row.value,
        price: row.price,
        label: row.label,
        grade: row.grade,
        side: setup.value.side,
        movable: row.kind !== 'last',
    })),
);
const chosenRow = computed(() => rows.value.find((row) => row.key === chosen.value) ?? null);
const origins = [
    'own reading',
    'swing high',
    'swing low',
    'previous high',
    'previous low',
    'gap edge',
    'round number',
    'moving average',
    'base',
    'trend line',
];

/** Changes are sent one after the other, in the order in which they were made. */
let line: Promise<unknown> = Promise.resolve();

function change(method: 'POST' | 'PATCH' | 'DELETE', path: string, body?: unknown, alsoAt?: 'new' | 'toast'): Promise<boolean> {
    const turn = line.then(() => sendChange(method, path, body, alsoAt));
    line = turn;
    return turn;
}

/** Send a change; what comes back is the whole bench. A refusal is told at its field, and the old value stays. */
async function sendChange(
    method: 'POST' | 'PATCH' | 'DELETE',
    path: string,
    body?: unknown,
    alsoAt?: 'new' | 'toast',
): Promise<boolean> {
    kept.value = 'keeping';
    const at = base.value;
    try {
        const next = await send<WorkbenchData>(method, `${at}${path}`, body);
        if (at === base.value) {
            bench.value = next;
            errors.value = {};
            newPriceError.value = null;
        }
        return true;
    } catch (error) {
        if (error instanceof Refusal) {
            errors.value = alsoAt === 'new' ? {} : error.errors;
            if (alsoAt === 'new') {
                newPriceError.value = error.message;
            } else if (alsoAt === 'toast') {
                toast.add({ severity: 'warn', summary: error.message, detail: 'The price stays as it was.', life: 6000 });
            }
        } else {
            toast.add({ severity: 'error', summary: (error as Error).message, life: 8000 });
        }
        return false;
    } finally {
        kept.value = 'kept';
        router.reload({ only: ['dayLine', 'links'] });
    }
}

async function mark(price: string): Promise<void> {
    if (await change('POST', '/levels', { price }, 'new')) {
        const row = bench.value.ladder.find((one) => one.kind === 'level' && one.price === price);
        chosen.value = row?.key ?? null;
        ladder.value?.focusRow(chosen.value);
    }
}

async function typeLevel(): Promise<void> {
    if (newPrice.value.trim() === '') {
        return;
    }
    const before = bench.value.ladder.length;
    await change('POST', '/levels', { price: newPrice.value.trim() }, 'new');
    if (newPriceError.value === null && bench.value.ladder.length > before) {
        const row = bench.value.ladder.find((one) => one.kind === 'level' && Number(one.price) === Number(newPrice.value));
        newPrice.value = '';
        chosen.value = row?.key ?? null;
    }
}

function setRow(row: LadderRowData, price: string): Promise<boolean> {
    switch (row.kind) {
        case 'level':
            return change('PATCH', `/levels/${row.levelId}`, { price }, 'toast');
        case 'target':
            return change(
                'PATCH',
                '/setup',
                {
                    targets: setup.value.targets.map((target, i) => ({
                        price: i === row.target ? price : target.price,
                        share: target.share,
                    })),
                },
                'toast',
            );
        default:
            return change('PATCH', '/setup', { [row.kind]: price }, 'toast');
    }
}

/** Delete a row; the one that takes its place is chosen, so that work goes on from there. */
async function removeRow(row: LadderRowData): Promise<void> {
    const place = bench.value.ladder.findIndex((one) => one.key === row.key);
    const inLadder = document.activeElement?.closest('.ladder') !== null;
    if (await deleteRow(row)) {
        const next = bench.value.ladder[Math.min(place, bench.value.ladder.length - 1)];
        chosen.value = next?.key ?? null;
        if (inLadder) {
            ladder.value?.focusRow(chosen.value);
        }
    }
}

function deleteRow(row: LadderRowData): Promise<boolean> {
    switch (row.kind) {
        case 'level':
            return change('DELETE', `/levels/${row.levelId}`);
        case 'target': {
            const targets = setup.value.targets.filter((_, i) => i !== row.target).map(({ price, share }) => ({ price, share }));
            const only = targets[0];
            return change('PATCH', '/setup', {
                targets: targets.length === 1 && only !== undefined ? [{ ...only, share: '1' }] : targets,
            });
        }
        default:
            return change('PATCH', '/setup', { [row.kind]: null });
    }
}

function use(row: { price: string }, as: 'entry' | 'stop' | 'target'): Promise<boolean> {
    return change('POST', '/use', { price: row.price, as }, 'toast');
}

function describe(row: LadderRowData, changes: { origin?: string; grade?: string }): Promise<boolean> {
    return change(
        'PATCH',
        `/levels/${row.levelId}`,
        { price: row.price, origin: row.label, grade: row.grade, ...changes },
        'toast',
    );
}

/** An origin that was typed and left is kept too. */
function keepOrigin(row: LadderRowData, event: FocusEvent): void {
    const typed = (event.target as HTMLInputElement).value;
    if (typeof typed === 'string' && typed.trim() !== '' && typed !== row.label) {
        void describe(row, { origin: typed });
    }
}

function originDone(row: LadderRowData, event: KeyboardEvent): void {
    void describe(row, { origin: (event.target as HTMLInputElement).value });
    ladder.value?.focusRow(row.key);
}

/** A digit typed on the ladder begins the price of a new level. */
function beginLevel(digit: string): void {
    newPrice.value = digit;
    void nextTick(() => document.getElementById('new-level')?.focus());
}

const reason = ref('');
const reasonError = ref<string | null>(null);

function judge(state: 'kept' | 'passed'): void {
    reasonError.value = null;
    router.patch(
        `/plan/candidates/${candidate.value.id}`,
        { state, reason: state === 'passed' ? reason.value : '', readers: candidate.value.readers },
        {
            preserveScroll: true,
            preserveState: true,
            onError: (refused) => (reasonError.value = refused.reason ?? 'It could not be kept.'),
            onSuccess: () => (reason.value = ''),
        },
    );
}

function startMove(key: string): void {
    const row = bench.value.ladder.find((one) => one.key === key);
    if (row !== undefined) {
        drag.value = { key, price: row.price };
    }
}

function move(value: number): void {
    if (drag.value !== null) {
        drag.value = { ...drag.value, price: snap(value, grid.value) };
    }
}

// A nudged price moves at once and is kept when the keys rest, so that a run of presses is one change.
const NUDGE_RESTS = 350;
let nudging: number | undefined;

function nudgeRow(row: LadderRowData, ticks: number): void {
    if (drag.value !== null && drag.value.key !== row.key) {
        void endMove();
    }
    drag.value = { key: row.key, price: nudge(drag.value?.key === row.key ? drag.value.price : row.price, ticks, grid.value) };
    window.clearTimeout(nudging);
    nudging = window.setTimeout(() => void endMove(), NUDGE_RESTS);
}

async function endMove(): Promise<void> {
    window.clearTimeout(nudging);
    const moved = drag.value;
    const row = bench.value.ladder.find((one) => one.key === moved?.key);
    if (moved !== null && row !== undefined && row.price !== moved.price) {
        await setRow(row, moved.price);
    }
    if (drag.value === moved) {
        drag.value = null;
    }
}

function go(step: 1 | -1): void {
    const next = props.links[place.value + step];
    if (next !== undefined) {
        router.visit(`/plan/mark/${next.id}`);
    }
}

function zoom(factor: number): void {
    const count = Math.round((view.value.last - view.value.first + 1) * factor);
    const most = props.chart.sessions.length;
    const size = Math.max(FEWEST_BARS, Math.min(most, count));
    view.value = { first: Math.max(0, view.value.last - size + 1), last: view.value.last };
}

function pan(bars: number): void {
    const size = view.value.last - view.value.first;
    const last = Math.max(size, Math.min(props.chart.sessions.length - 1, view.value.last + bars));
    view.value = { first: last - size, last };
}

/** Another time frame: the same levels on other bars. */
function showFrame(frame: TimeFrame | undefined): void {
    if (frame !== undefined && frame !== props.chart.timeFrame) {
        router.reload({ only: ['chart'], data: { frame } });
    }
}

function stepFrame(step: 1 | -1): void {
    showFrame(FRAMES[FRAMES.findIndex((frame) => frame.value === props.chart.timeFrame) + step]?.value);
}

function onChosen(run: (row: LadderRowData) => unknown): () => void {
    return () => {
        if (chosenRow.value !== null) {
            void run(chosenRow.value);
        }
    };
}

const { travel, undoKeys } = useUndo(
    ({ candidateId }) => {
        errors.value = {};
        if (candidateId !== null && candidateId !== candidate.value.id) {
            router.visit(`/plan/mark/${candidateId}`);
        } else {
            router.reload();
        }
    },
    async () => {
        await endMove();
        await line;
    },
);

useShortcuts([
    { keys: 'j', does: 'next candidate', run: () => go(1) },
    { keys: 'k', does: 'candidate before', run: () => go(-1) },
    { keys: 'm', does: 'mark a level: type its price', run: () => document.getElementById('new-level')?.focus() },
    { keys: 'l', does: 'to the ladder', run: () => ladder.value?.focusRow(chosen.value ?? bench.value.ladder[0]?.key ?? null) },
    { keys: 'PageUp PageDown', does: 'ladder: row above, row below', run: () => {}, told: true },
    { keys: 'ArrowUp ArrowDown', does: 'ladder and price fields: a tick up or down, with Shift ten', run: () => {}, told: true },
    { keys: '0 to 9', does: 'ladder: type the price of a new level', run: () => {}, told: true },
    { keys: 'Enter', does: 'ladder: change the price', run: () => {}, told: true },
    { keys: 'e', does: 'make the chosen price the entry', run: onChosen((row) => use(row, 'entry')) },
    { keys: 's', does: 'make it the stop', run: onChosen((row) => use(row, 'stop')) },
    { keys: 't', does: 'make it a target', run: onChosen((row) => use(row, 'target')) },
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
        keys: 'Delete',
        does: 'delete the chosen level or plan price',
        run: onChosen((row) => row.kind !== 'last' && removeRow(row)),
    },
    {
        keys: 'x',
        does: 'turn the side: long or short',
        run: () => void change('PATCH', '/setup', { side: setup.value.side === 'long' ? 'short' : 'long' }),
    },
    { keys: '+', does: 'fewer bars', run: () => zoom(1 / 1.25) },
    { keys: '-', does: 'more bars', run: () => zoom(1.25) },
    { keys: '[', does: 'smaller time frame', run: () => stepFrame(-1) },
    { keys: ']', does: 'larger time frame', run: () => stepFrame(1) },
    { keys: 'd', does: 'the day chart', run: () => showFrame('1d') },
    { keys: 'ArrowLeft', does: 'earlier', run: () => pan(-10) },
    { keys: 'ArrowRight', does: 'later', run: () => pan(10) },
    ...undoKeys,
    { keys: 'n', does: 'pass it: type the reason', run: () => document.getElementById('pass-reason')?.focus() },
    { keys: 'p', does: 'to Publish', run: () => router.visit('/plan/publish') },
]);

const watcher = new ResizeObserver(([box]) => {
    if (box !== undefined) {
        width.value = Math.floor(box.contentRect.width);
    }
});
function measure(): void {
    const top = chartBox.value?.getBoundingClientRect().top ?? 120;
    height.value = Math.max(320, Math.min(900, window.innerHeight - top - 20 - 140));
}
onMounted(() => {
    if (chartBox.value) {
        watcher.observe(chartBox.value);
    }
    void nextTick(measure);
    rail.value?.querySelector('.here')?.scrollIntoView({ block: 'nearest', inline: 'center' });
    window.addEventListener('resize', measure);
});
onBeforeUnmount(() => {
    watcher.disconnect();
    if (drag.value !== null) {
        void endMove();
    }
    window.removeEventListener('resize', measure);
});
</script>

<template>
    <AppShell :title="`${instrument.symbol}, mark and plan`" step="mark">
        <div class="rail">
            <nav ref="rail" class="stops" aria-label="Candidates of the plan">
                <Link
                    v-for="(link, i) in links"
                    :key="link.id"
                    :href="`/plan/mark/${link.id}`"
                    class="stop-over"
                    :class="[link.state, { here: link.id === candidate.id }]"
                    :aria-current="link.id === candidate.id ? 'page' : undefined"
                    :title="link.setupNote"
                >
                    <span class="no">{{ i + 1 }}</span> {{ link.symbol }}
                    <i v-if="link.setupNote === 'planned'" class="pi pi-check" aria-label="planned" />
                </Link>
            </nav>
            <span class="rail-end muted">{{ kept === 'kept' ? 'Draft kept' : 'Keeping…' }}</span>
            <UndoButtons :undo="bench.undo" :redo="bench.redo" @travel="travel" />
        </div>

        <div class="bench">
            <section class="reading-desk" aria-label="Chart and ladder">
                <header class="title">
                    <h1>
                        {{ instrument.symbol }} <span class="name">{{ instrument.name }}</span>
                    </h1>
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
                </header>
                <div class="side-by-side">
                    <div ref="chartBox" class="chart-box">
                        <PriceChart
                            :chart="chart"
                            :window="view"
                            :y="y"
                            :width="width"
                            :height="height"
                            :lines="lines"
                            :scale="setup.scale"
                            :name="`${instrument.symbol} ${instrument.name}`"
                            interactive
                            :chosen="chosen"
                            :moving="drag?.key ?? null"
                            @place="mark(snap($event, grid))"
                            @choose="chosen = $event"
                            @move-start="startMove"
                            @move="move"
                            @move-end="endMove"
                            @zoom="zoom"
                            @pan="pan"
                        />
                    </div>
                    <Ladder
                        ref="ladder"
                        class="ladder-box"
                        :rows="rows"
                        :y="y"
                        :height="height - AXIS"
                        :side="setup.side"
                        :grid="grid"
                        :chosen="chosen"
                        :moving="drag?.key ?? null"
                        @choose="chosen = $event"
                        @move-start="startMove"
                        @move="move"
                        @move-end="endMove"
                        @set="setRow"
                        @use="use"
                        @remove="removeRow"
                        @begin="beginLevel"
                        @nudge="nudgeRow"
                    />
                </div>
                <div class="under">
                    <div class="chosen-row" aria-live="polite">
                        <template v-if="chosenRow && chosenRow.kind === 'level'">
                            <strong>{{ chosenRow.price }}</strong>
                            <Select
                                id="origin"
                                :key="chosenRow.key"
                                :model-value="chosenRow.label"
                                :options="origins"
                                editable
                                size="small"
                                class="origin-pick"
                                aria-label="Origin of the level"
                                @change="$event.originalEvent?.type !== 'input' && describe(chosenRow, { origin: $event.value })"
                                @keydown.enter.stop="originDone(chosenRow, $event)"
                                @keydown.esc.stop="ladder?.focusRow(chosen)"
                                @keydown.stop
                                @focusout="keepOrigin(chosenRow, $event)"
                            />
                            <Button
                                :label="chosenRow.grade === 'major' ? 'Major' : 'Minor'"
                                size="small"
                                severity="secondary"
                                outlined
                                title="Turn to major or minor (g)"
                                @click="describe(chosenRow, { grade: chosenRow.grade === 'major' ? 'minor' : 'major' })"
                            />
                        </template>
                        <template v-else-if="chosenRow">
                            <strong>{{ chosenRow.price }}</strong> {{ chosenRow.label }}
                        </template>
                        <template v-if="chosenRow">
                            <span class="make">
                                <Button
                                    size="small"
                                    text
                                    severity="secondary"
                                    title="Make it the entry (e)"
                                    @click="use(chosenRow, 'entry')"
                                    >Entry <kbd>e</kbd></Button
                                >
                                <Button
                                    size="small"
                                    text
                                    severity="secondary"
                                    title="Make it the stop (s)"
                                    @click="use(chosenRow, 'stop')"
                                    >Stop <kbd>s</kbd></Button
                                >
                                <Button
                                    size="small"
                                    text
                                    severity="secondary"
                                    title="Make it a target (t)"
                                    @click="use(chosenRow, 'target')"
                                    >Target <kbd>t</kbd></Button
                                >
                                <Button
                                    v-if="chosenRow.kind !== 'last'"
                                    icon="pi pi-trash"
                                    size="small"
                                    text
                                    severity="secondary"
                                    aria-label="Delete"
                                    title="Delete (Del)"
                                    @click="removeRow(chosenRow)"
                                />
                            </span>
                        </template>
                        <span v-else class="muted"
                            >Choose a row of the ladder to name it, or to make it the entry, stop or target.</span
                        >
                    </div>
                    <form class="new" @submit.prevent="typeLevel">
                        <label for="new-level">Level at</label>
                        <InputText
                            id="new-level"
                            v-model="newPrice"
                            size="small"
                            inputmode="decimal"
                            autocomplete="off"
                            :invalid="newPriceError !== null"
                            placeholder="price"
                            @keydown.esc="newPrice = ''"
                        />
                        <Button type="submit" label="Mark" size="small" severity="secondary" outlined />
                        <span class="muted">or click in the chart</span>
                        <p v-if="newPriceError" class="error" role="alert">{{ newPriceError }}</p>
                    </form>
                </div>
                <div class="read-out">
                    <p v-if="setup.sentence" class="sentence" :class="setup.side">{{ setup.sentence }}</p>
                    <p v-else class="sentence muted">
                        {{
                            setup.begun
                                ? `The setup still needs ${setup.missing.join(' and ')}.`
                                : 'No setup yet: choose a level and press e for the entry, s for the stop, t for a target.'
                        }}
                    </p>
                    <RStrip v-if="setup.strip" :strip="setup.strip" :width="280" labels />
                </div>
            </section>
            <aside class="plan-desk">
                <p class="facts">
                    <span>{{ instrument.kind }}, {{ instrument.group }}</span>
                    <span>
                        Last <strong>{{ candidate.lastClose }}</strong> {{ instrument.currency }}
                        <template v-if="candidate.change !== null">({{ signed(candidate.change) }} %)</template>
                    </span>
                    <span v-if="bench.atr !== null">ATR(14) {{ bench.atr }}</span>
                </p>

                <SetupEditor
                    :setup="setup"
                    :grid="grid"
                    :errors="errors"
                    @change="change('PATCH', '/setup', $event)"
                    @clear="change('DELETE', '/setup')"
                />
                <form class="verdict" @submit.prevent="judge('passed')">
                    <h2>{{ candidate.state === 'passed' ? 'Passed' : 'Not worth a plan?' }}</h2>
                    <template v-if="candidate.state === 'passed'">
                        <p>{{ candidate.reason }}</p>
                        <Button label="Keep it after all" size="small" severity="secondary" outlined @click="judge('kept')" />
                    </template>
                    <template v-else>
                        <div class="pass-line">
                            <InputText
                                id="pass-reason"
                                v-model="reason"
                                size="small"
                                maxlength="200"
                                placeholder="reason, published with the plan"
                                aria-label="Reason to pass it"
                                :invalid="reasonError !== null"
                                fluid
                            />
                            <Button type="submit" label="Pass" size="small" severity="secondary" outlined />
                        </div>
                        <p v-if="reasonError" class="error" role="alert">{{ reasonError }}</p>
                    </template>
                </form>
            </aside>
        </div>
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
.stops {
    display: flex;
    flex: 1;
    gap: 2px;
    min-width: 0;
    overflow-x: auto;
    scrollbar-width: none;
    mask-image: linear-gradient(to right, transparent, #000 16px calc(100% - 24px), transparent);
    padding-left: 8px;
    margin-left: -8px;
}
.stop-over {
    display: inline-flex;
    flex: none;
    align-items: center;
    gap: 4px;
    padding: 2px 8px;
    text-decoration: none;
    white-space: nowrap;
    border-bottom: 2px solid transparent;
    color: var(--ink-2);
}
.stop-over .no {
    font-size: 11px;
    color: var(--ink-3);
}
.stop-over .pi {
    font-size: 11px;
}
.stop-over.passed {
    text-decoration: line-through;
    color: var(--ink-3);
}
.stop-over.here {
    color: var(--ink);
    font-weight: 650;
    border-color: var(--ink);
}
.rail-end {
    margin-left: auto;
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
.facts {
    display: flex;
    flex-wrap: wrap;
    gap: 0 16px;
    margin-bottom: 12px;
    padding-bottom: 8px;
    border-bottom: 1px solid var(--hair);
    color: var(--ink-2);
}
.facts span {
    white-space: nowrap;
}
.frames {
    align-self: center;
}
.frames :deep(.p-togglebutton-content) {
    padding: 0 7px;
}
.frames :deep(.p-togglebutton-checked .p-togglebutton-label) {
    color: var(--ink);
    font-weight: 650;
}
.side-by-side {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 336px;
    gap: 4px;
}
.chart-box {
    min-width: 0;
}
.under {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 336px;
    align-items: center;
    gap: 4px;
    min-height: 40px;
    border-top: 1px solid var(--hair);
}
.new {
    flex-wrap: wrap;
    justify-content: flex-end;
}
.verdict {
    display: flex;
    flex-direction: column;
    align-items: flex-start;
    gap: 8px;
    margin-top: 16px;
    padding-top: 12px;
    border-top: 1px solid var(--hair);
}
.pass-line {
    display: flex;
    gap: 8px;
    width: 100%;
}
.new,
.chosen-row,
.make {
    display: flex;
    align-items: center;
    gap: 8px;
    white-space: nowrap;
}
.make {
    gap: 0;
}
.make kbd {
    margin-left: 4px;
}
.new label {
    font-weight: 600;
}
.new :deep(input) {
    width: 92px;
    text-align: right;
}
.new .muted,
.chosen-row .muted {
    font-size: 13px;
}
.error {
    color: var(--stop);
    font-size: 13px;
    white-space: normal;
    line-height: 16px;
}
.origin-pick {
    width: 148px;
}
.read-out {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 24px;
    align-items: center;
    min-height: 72px;
    border-top: 1px solid var(--hair);
    padding-top: 8px;
}
.sentence {
    font: 400 16px/22px var(--serif);
    text-wrap: pretty;
}
.sentence.long,
.sentence.short {
    color: var(--ink);
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
