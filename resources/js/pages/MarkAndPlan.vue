<script setup lang="ts">
import { router } from '@inertiajs/vue3';
import SelectButton from 'primevue/selectbutton';
import { computed, nextTick, onBeforeUnmount, onMounted, ref, toRef } from 'vue';
import { FRAMES } from '@/chart/frames';
import Ladder from '@/chart/Ladder.vue';
import type { PriceLine } from '@/chart/lines';
import PriceChart from '@/chart/PriceChart.vue';
import { near, priceScale } from '@/chart/scales';
import { useChartView } from '@/chart/view';
import AppShell from '@/components/AppShell.vue';
import CandidateRail from '@/components/CandidateRail.vue';
import ChosenRow from '@/components/ChosenRow.vue';
import NewLevel from '@/components/NewLevel.vue';
import PassForm from '@/components/PassForm.vue';
import RStrip from '@/components/RStrip.vue';
import SetupEditor from '@/components/SetupEditor.vue';
import UndoButtons from '@/components/UndoButtons.vue';
import { useBench } from '@/lib/bench';
import { useShortcuts } from '@/lib/keys';
import { useMovingPrice } from '@/lib/moving';
import { signed, snap, type Grid } from '@/lib/price';
import { useUndo } from '@/lib/undo';
import { useWidth } from '@/lib/width';
import type { CandidateLinkData, ChartData, LadderRowData, TimeFrame, WorkbenchData } from '@/types/data';

const props = defineProps<{ links: CandidateLinkData[]; chart: ChartData; workbench: WorkbenchData }>();

/** Height of the date axis, and of what stands below the chart. */
const AXIS = 20;
const BELOW = 160;

const { bench, errors, newLevelError, keeping, change, setRow, deleteRow, use, describe, mark, settled } = useBench(
    toRef(props, 'workbench'),
);
const candidate = computed(() => bench.value.candidate);
const instrument = computed(() => candidate.value.instrument);
const setup = computed(() => bench.value.setup);
const grid = computed<Grid>(() => ({ decimals: instrument.value.decimals, tick: instrument.value.tick }));

const { moving, rows, start, move, nudgeRow, end } = useMovingPrice(bench, grid, setRow);
const { view, zoom, pan } = useChartView(toRef(props, 'chart'));

const chosen = ref<string | null>(null);
const chosenRow = computed(() => rows.value.find((row) => row.key === chosen.value) ?? null);
const newPrice = ref('');
const ladder = ref<InstanceType<typeof Ladder>>();
const chartBox = ref<HTMLElement>();
const width = useWidth(chartBox, 600);
const height = ref(500);

// The scale holds still while a price is moved: it follows what is kept.
const y = computed(() => {
    const prices = bench.value.ladder.map((row) => row.value);
    return priceScale(props.chart, view.value, near(props.chart, view.value, prices), height.value - AXIS);
});
const lines = computed<PriceLine[]>(() =>
    rows.value.map(({ key, kind, value, price, label, grade }) => ({
        key,
        kind,
        value,
        price,
        label,
        grade,
        side: setup.value.side,
        movable: kind !== 'last',
    })),
);

function toLadder(key: string | null): void {
    chosen.value = key;
    ladder.value?.focusRow(key);
}

async function markAt(price: string): Promise<void> {
    const key = await mark(price);
    if (key !== null) {
        toLadder(key);
    }
}

async function markTyped(price: string): Promise<void> {
    const key = await mark(price);
    if (key !== null) {
        newPrice.value = '';
        chosen.value = key;
    }
}

/** A digit typed on the ladder begins the price of a new level. */
function beginLevel(digit: string): void {
    newPrice.value = digit;
    void nextTick(() => document.getElementById('new-level')?.focus());
}

/** Delete a row; the one that takes its place is chosen, so that work goes on from there. */
async function removeRow(row: LadderRowData): Promise<void> {
    const place = bench.value.ladder.findIndex((one) => one.key === row.key);
    const inLadder = document.activeElement?.closest('.ladder') !== null;
    if (await deleteRow(row)) {
        const next = bench.value.ladder[Math.min(place, bench.value.ladder.length - 1)]?.key ?? null;
        chosen.value = next;
        if (inLadder) {
            ladder.value?.focusRow(next);
        }
    }
}

function go(step: 1 | -1): void {
    const next = props.links[props.links.findIndex((link) => link.id === candidate.value.id) + step];
    if (next !== undefined) {
        router.visit(`/plan/mark/${next.id}`);
    }
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
        await end();
        await settled();
    },
);

const elsewhere = { run: () => {}, told: true };

useShortcuts([
    { keys: 'j', does: 'next candidate', run: () => go(1) },
    { keys: 'k', does: 'candidate before', run: () => go(-1) },
    { keys: 'm', does: 'mark a level: type its price', run: () => document.getElementById('new-level')?.focus() },
    { keys: 'l', does: 'to the ladder', run: () => toLadder(chosen.value ?? bench.value.ladder[0]?.key ?? null) },
    { keys: 'PageUp PageDown', does: 'ladder: row above, row below', ...elsewhere },
    { keys: 'ArrowUp ArrowDown', does: 'ladder and price fields: a tick up or down, with Shift ten', ...elsewhere },
    { keys: '0 to 9', does: 'ladder: type the price of a new level', ...elsewhere },
    { keys: 'Enter', does: 'ladder: change the price', ...elsewhere },
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

function measure(): void {
    const top = chartBox.value?.getBoundingClientRect().top ?? 120;
    height.value = Math.max(320, Math.min(900, window.innerHeight - top - BELOW));
}

onMounted(() => {
    void nextTick(measure);
    window.addEventListener('resize', measure);
});
onBeforeUnmount(() => window.removeEventListener('resize', measure));
</script>

<template>
    <AppShell :title="`${instrument.symbol}, mark and plan`" step="mark">
        <div class="rail">
            <CandidateRail :links="links" :here="candidate.id" />
            <span class="kept muted">{{ keeping ? 'Keeping…' : 'Draft kept' }}</span>
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
                            :moving="moving"
                            @place="markAt(snap($event, grid))"
                            @choose="chosen = $event"
                            @move-start="start"
                            @move="move"
                            @move-end="end"
                            @zoom="zoom"
                            @pan="pan"
                        />
                    </div>
                    <Ladder
                        ref="ladder"
                        :rows="rows"
                        :y="y"
                        :height="height - AXIS"
                        :side="setup.side"
                        :chosen="chosen"
                        :moving="moving"
                        @choose="chosen = $event"
                        @move-start="start"
                        @move="move"
                        @move-end="end"
                        @set="setRow"
                        @use="use"
                        @remove="removeRow"
                        @begin="beginLevel"
                        @nudge="nudgeRow"
                    />
                </div>
                <div class="under">
                    <ChosenRow
                        :row="chosenRow"
                        @describe="describe"
                        @use="use"
                        @remove="removeRow"
                        @done="ladder?.focusRow(chosen)"
                    />
                    <NewLevel v-model="newPrice" :error="newLevelError" @mark="markTyped" />
                </div>
                <div class="read-out">
                    <p v-if="setup.sentence" class="sentence">{{ setup.sentence }}</p>
                    <p v-else-if="setup.begun" class="sentence muted">The setup still needs {{ setup.missing.join(' and ') }}.</p>
                    <p v-else class="sentence muted">
                        No setup yet: choose a level and press e for the entry, s for the stop, t for a target.
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
                <PassForm :candidate="candidate" />
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
.side-by-side,
.under {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 336px;
    gap: 4px;
}
.chart-box {
    min-width: 0;
}
.under {
    align-items: center;
    min-height: 40px;
    border-top: 1px solid var(--hair);
}
.read-out {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 24px;
    align-items: center;
    min-height: 72px;
    padding-top: 8px;
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
