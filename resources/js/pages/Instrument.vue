<script setup lang="ts">
import { Deferred, Link, router } from '@inertiajs/vue3';
import Button from 'primevue/button';
import Column from 'primevue/column';
import DataTable from 'primevue/datatable';
import SelectButton from 'primevue/selectbutton';
import { computed, ref } from 'vue';
import { FRAMES } from '@/chart/frames';
import PriceChart from '@/chart/PriceChart.vue';
import { lastBars, priceScale } from '@/chart/scales';
import AppShell from '@/components/AppShell.vue';
import { change, percent, plain } from '@/lib/figures';
import { useShortcuts } from '@/lib/keys';
import { signed } from '@/lib/price';
import { useWidth } from '@/lib/width';
import type { BarRowData, ChartData, InstrumentPageData, QualityData, Stack, TimeFrame } from '@/types/data';

const props = defineProps<{
    page: InstrumentPageData;
    frame: TimeFrame;
    bars: BarRowData[];
    quality?: QualityData;
    charts?: ChartData[];
}>();

const GAP = 10;
const HEIGHT = 140;
const box = ref<HTMLElement>();
const room = useWidth(box, 1248);
const stacks: Record<Stack, string> = { up: 'stacked up', down: 'stacked down', mixed: 'mixed' };
const name = computed(() => `${props.page.instrument.symbol} ${props.page.instrument.name}`);
const drawn = computed(() =>
    (props.charts ?? [])
        .filter((chart) => chart.sessions.length > 1)
        .map((chart) => {
            const window = lastBars(chart, 60);
            return { chart, window, y: priceScale(chart, window, [], HEIGHT - 20) };
        }),
);
const width = computed(() => {
    const count = Math.max(1, drawn.value.length);
    return Math.max(140, Math.floor((room.value - (count - 1) * GAP) / count));
});
const released = computed(() => {
    const both = props.page.readings.filter((one) => (one.released ?? 0) !== 0);
    return both.length < 2 ? null : both.map((one) => frameName(one.timeFrame)).join(' and ');
});

function frameName(frame: TimeFrame): string {
    return FRAMES.find((one) => one.value === frame)?.label ?? frame;
}

function showFrame(frame: TimeFrame | undefined): void {
    if (frame !== undefined && frame !== props.frame) {
        router.reload({ only: ['bars', 'frame'], data: { frame } });
    }
}

function plan(): void {
    if (props.page.candidateId !== null) {
        router.visit(`/plan/mark/${props.page.candidateId}`);
    } else {
        router.post('/plan/candidates', { instrument: props.page.instrument.id }, { preserveScroll: true });
    }
}

function compression(bars: number | null, release: number | null): string {
    if (bars === null) {
        return 'too young';
    }
    return release !== null && release !== 0
        ? `released ${release > 0 ? 'upward' : 'downward'}`
        : bars === 0
          ? 'none'
          : `${bars} bars`;
}

function streak(value: number | null): string {
    return value === null ? '–' : value === 0 ? 'unchanged' : `${Math.abs(value)} ${value > 0 ? 'up' : 'down'}`;
}

useShortcuts([
    { keys: 'p', does: props.page.candidateId === null ? 'put it on the working list' : 'mark and plan it', run: plan },
    ...FRAMES.map((one) => ({ keys: one.key, does: `bars by ${one.name}`, run: () => showFrame(one.value) })),
]);
</script>

<template>
    <AppShell :title="page.instrument.symbol">
        <div class="page">
            <div ref="box" />
            <header class="top">
                <div>
                    <h1>
                        {{ page.instrument.symbol }} <span class="name">{{ page.instrument.name }}</span>
                    </h1>
                    <p>
                        <strong v-if="page.last">{{ page.last }} {{ page.instrument.currency }}</strong>
                        <span v-else>No bars are known of it yet: import some on the <Link href="/data">Data page</Link>.</span>
                        <template v-if="page.change !== null"> ({{ signed(page.change) }} %)</template>
                        <span v-for="label in page.labels" :key="label" class="label">{{ label }}</span>
                        <span v-if="!page.traded" class="label">watched, not traded</span>
                    </p>
                </div>
                <Button
                    :label="page.candidateId === null ? 'Put on the working list' : 'Mark and plan'"
                    size="small"
                    severity="secondary"
                    outlined
                    @click="plan"
                />
            </header>

            <Deferred data="charts">
                <template #fallback><div class="charts waiting muted">Drawing the time frames…</div></template>
                <div class="charts" tabindex="0" role="group" aria-label="Charts of all time frames">
                    <div v-for="one in drawn" :key="one.chart.timeFrame" class="one">
                        <h2>{{ frameName(one.chart.timeFrame) }}</h2>
                        <PriceChart
                            :chart="one.chart"
                            :window="one.window"
                            :y="one.y"
                            :width="width"
                            :height="HEIGHT"
                            :lines="[]"
                            :scale="null"
                            :name="`${name}, ${frameName(one.chart.timeFrame)}`"
                            small
                        />
                    </div>
                </div>
            </Deferred>

            <section aria-label="Readings">
                <h2>What the time frames show</h2>
                <table class="board">
                    <thead>
                        <tr>
                            <th>Bars</th>
                            <th>Order of averages</th>
                            <th class="num">Slope, ATR a bar</th>
                            <th class="num">RSI 14</th>
                            <th class="num">Z-score 20</th>
                            <th class="num">Rel. volume</th>
                            <th>In a row</th>
                            <th>Compression</th>
                            <th>Last bar</th>
                            <th>Divergence</th>
                        </tr>
                    </thead>
                    <tbody>
                        <tr v-for="one in page.readings" :key="one.timeFrame">
                            <th scope="row">{{ frameName(one.timeFrame) }}</th>
                            <td>{{ one.order === null ? 'too young' : stacks[one.order] }}</td>
                            <td class="num">{{ change(one.slope, 2) }}</td>
                            <td class="num">{{ plain(one.rsi, 1) }}</td>
                            <td class="num">{{ change(one.zScore, 2) }}</td>
                            <td class="num">{{ plain(one.relativeVolume, 2) }}</td>
                            <td>{{ streak(one.streak) }}</td>
                            <td>{{ compression(one.compressed, one.released) }}</td>
                            <td>{{ one.shape || '–' }}</td>
                            <td>{{ one.divergence || 'none' }}</td>
                        </tr>
                    </tbody>
                </table>
                <p v-if="released" class="look">Compression is released together: {{ released }}.</p>
            </section>

            <div class="columns">
                <section aria-label="Facts">
                    <h2>Facts</h2>
                    <dl class="facts">
                        <div v-for="fact in [...page.terms, ...page.facts]" :key="fact.label">
                            <dt>{{ fact.label }}</dt>
                            <dd>
                                {{ fact.value }} <span class="muted">{{ fact.note }}</span>
                            </dd>
                        </div>
                    </dl>
                    <table v-if="page.reports.length > 0" class="board reports">
                        <thead>
                            <tr>
                                <th>Quarter</th>
                                <th class="num">Sales</th>
                                <th class="num">Earnings per share</th>
                            </tr>
                        </thead>
                        <tbody>
                            <tr v-for="one in page.reports" :key="one.label">
                                <th scope="row">{{ one.label }}</th>
                                <td class="num">{{ one.value }}</td>
                                <td class="num">{{ one.note || '–' }}</td>
                            </tr>
                        </tbody>
                    </table>
                </section>
                <section aria-label="Next session">
                    <h2>The next session</h2>
                    <p v-if="page.expected" class="expected">
                        Expected between <strong>{{ page.expected.low }}</strong> and <strong>{{ page.expected.high }}</strong>
                        {{ page.instrument.currency }}. In {{ page.expected.sessions }} sessions both such edges held
                        {{ percent(page.expected.held) }} of the time, the upper {{ percent(page.expected.heldHigh) }}, the lower
                        {{ percent(page.expected.heldLow) }}.
                    </p>
                    <p v-else class="muted">An expected range needs 250 sessions.</p>
                    <p v-if="page.odds" class="expected">
                        <template v-if="page.odds.tooFew">
                            Two-session odds: too few, only {{ page.odds.cases }} earlier sessions in this state
                        </template>
                        <template v-else>
                            Closed higher two sessions later in <strong>{{ percent(page.odds.share) }}</strong> of
                            {{ page.odds.cases }} sessions in this state (90 % interval {{ percent(page.odds.low) }} to
                            {{ percent(page.odds.high) }})
                        </template>
                        ({{ page.odds.state }}); in {{ percent(page.odds.allShare) }} of all {{ page.odds.allCases }}.
                    </p>
                    <p v-else class="muted">Odds need 264 sessions.</p>
                    <h2>Events</h2>
                    <ul class="list">
                        <li v-for="event in page.events" :key="event.id">
                            <strong>{{ event.day }}</strong> {{ event.title }}
                            <span class="muted">{{ [event.when, event.source].filter(Boolean).join('; ') }}</span>
                        </li>
                        <li v-if="page.events.length === 0" class="muted">None are known.</li>
                    </ul>
                    <h2>Sessions, in Quay time</h2>
                    <table class="board">
                        <tbody>
                            <tr v-for="session in page.sessions" :key="session.day">
                                <th scope="row">{{ session.day }}</th>
                                <td>
                                    {{ session.hours }} <span class="muted">({{ session.utc }})</span>
                                </td>
                                <td class="look">{{ session.note }}</td>
                            </tr>
                        </tbody>
                    </table>
                </section>
                <section aria-label="Bars">
                    <div class="bars-head">
                        <h2>Bars</h2>
                        <SelectButton
                            :model-value="frame"
                            :options="FRAMES"
                            option-label="label"
                            option-value="value"
                            :allow-empty="false"
                            size="small"
                            class="frames"
                            aria-label="Time frame of the bars"
                            @update:model-value="showFrame"
                        />
                    </div>
                    <DataTable :value="bars" size="small" paginator :rows="18" data-key="when">
                        <Column header="Bar">
                            <template #body="{ data }: { data: BarRowData }">
                                {{ data.when }}<span v-if="data.unfinished" class="look"> under way</span>
                            </template>
                        </Column>
                        <Column
                            v-for="field in ['open', 'high', 'low', 'close'] as const"
                            :key="field"
                            :field="field"
                            :header="field"
                            body-class="num"
                            header-class="num-head"
                        />
                        <Column header="%" body-class="num" header-class="num-head">
                            <template #body="{ data }: { data: BarRowData }">{{ signed(data.change) }}</template>
                        </Column>
                        <Column header="volume" body-class="num" header-class="num-head">
                            <template #body="{ data }: { data: BarRowData }">{{ data.volume.toLocaleString('en-GB') }}</template>
                        </Column>
                        <template #empty>No bars of this length are stored.</template>
                    </DataTable>
                    <p class="export">
                        Export as CSV, as traded:
                        <a :href="`/instruments/${page.instrument.symbol}/bars?frame=1d`">days</a>,
                        <a :href="`/instruments/${page.instrument.symbol}/bars?frame=5m`">five minutes</a>
                    </p>
                    <h2>Data quality</h2>
                    <Deferred data="quality">
                        <template #fallback><p class="muted">Setting the bars against the calendar…</p></template>
                        <template v-if="quality">
                            <p v-if="quality.first">
                                Since {{ quality.first }}: {{ quality.sessions - quality.missing }} of
                                {{ quality.sessions }} sessions have a day bar<template v-if="quality.missing > 0"
                                    >; missing, the latest first: {{ quality.missingSessions.join(', ') }}</template
                                >.
                            </p>
                            <p v-if="quality.fineExpected > 0">
                                Last {{ quality.fineSessions }} sessions: {{ quality.finePresent.toLocaleString('en-GB') }} of
                                {{ quality.fineExpected.toLocaleString('en-GB') }} bars of five minutes.
                                <span v-if="quality.finePresent < quality.fineExpected"
                                    >What is missing stays missing and is marked on the chart.</span
                                >
                            </p>
                            <p v-if="quality.corrections.length === 0" class="muted">No bar was told otherwise later.</p>
                            <ul v-else class="list">
                                <li v-for="(one, i) in quality.corrections" :key="i">
                                    <strong>{{ one.when }}, {{ one.timeFrame }}</strong> {{ one.was }} → {{ one.is }}
                                    <span v-if="one.heldBack" class="look"
                                        >a setup was judged on the first figures; they stay</span
                                    >
                                </li>
                            </ul>
                        </template>
                    </Deferred>
                </section>
            </div>
        </div>
    </AppShell>
</template>

<style scoped>
.page {
    padding: 12px 16px 32px;
}
.top {
    display: flex;
    justify-content: space-between;
    align-items: flex-start;
    gap: 24px;
    margin-bottom: 8px;
}
.name {
    font-weight: 400;
    color: var(--ink-2);
}
.label {
    margin-left: 8px;
    padding: 0 6px;
    border: 1px solid var(--look);
    color: var(--look);
    font-size: 12px;
}
.charts {
    display: flex;
    gap: 10px;
    overflow-x: auto;
    padding-bottom: 8px;
    min-height: 172px;
}
.charts.waiting {
    align-items: center;
    justify-content: center;
}
.charts h2 {
    font-size: 13px;
}
.board {
    width: 100%;
    border-collapse: collapse;
}
.board th,
.board td {
    padding: 3px 8px;
    border-bottom: 1px solid var(--hair);
    text-align: left;
    vertical-align: top;
    font-weight: 400;
    line-height: 18px;
}
.board thead th {
    font-size: 12px;
    color: var(--ink-3);
    white-space: nowrap;
}
.board tbody th {
    font-weight: 600;
    white-space: nowrap;
}
.board .num {
    text-align: right;
    white-space: nowrap;
}
.columns {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) minmax(0, 1.35fr);
    gap: 32px;
    margin-top: 20px;
}
.columns h2:not(:first-child) {
    margin-top: 16px;
}
.facts {
    margin: 0;
}
.facts div {
    display: grid;
    grid-template-columns: 128px minmax(0, 1fr);
    gap: 8px;
    padding: 3px 0;
    border-bottom: 1px solid var(--hair);
    line-height: 18px;
}
.facts dt {
    color: var(--ink-2);
}
.facts dd {
    margin: 0;
}
.facts .muted {
    display: block;
    font-size: 12px;
    line-height: 15px;
}
.reports {
    margin-top: 12px;
}
.expected {
    margin-bottom: 6px;
    line-height: 19px;
}
.list {
    margin: 0;
    padding: 0;
    list-style: none;
}
.list li {
    padding: 3px 0;
    border-bottom: 1px solid var(--hair);
    line-height: 18px;
}
.bars-head {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 8px;
    margin-bottom: 4px;
}
.frames :deep(.p-togglebutton-content) {
    padding: 0 5px;
}
.frames :deep(.p-togglebutton-label) {
    font-size: 12px;
}
:deep(.num) {
    text-align: right;
    white-space: nowrap;
}
:deep(.num-head .p-datatable-column-header-content) {
    justify-content: flex-end;
}
:deep(.p-datatable-tbody > tr > td),
:deep(.p-datatable-header-cell) {
    padding: 2px 6px;
    font-size: 13px;
}
.export {
    margin-top: 8px;
    font-size: 13px;
}
@media (max-width: 1100px) {
    .columns {
        grid-template-columns: minmax(0, 1fr);
    }
}
</style>
