<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3';
import AutoComplete, { type AutoCompleteCompleteEvent } from 'primevue/autocomplete';
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import InputText from 'primevue/inputtext';
import SelectButton from 'primevue/selectbutton';
import Textarea from 'primevue/textarea';
import { useToast } from 'primevue/usetoast';
import { computed, ref, watch } from 'vue';
import AverageList from '@/chart/AverageList.vue';
import AppShell from '@/components/AppShell.vue';
import PlaceBar from '@/components/PlaceBar.vue';
import SparkLine from '@/components/SparkLine.vue';
import UndoButtons from '@/components/UndoButtons.vue';
import { change, percent, plain } from '@/lib/figures';
import { send } from '@/lib/http';
import { useShortcuts } from '@/lib/keys';
import { signed } from '@/lib/price';
import { useUndo } from '@/lib/undo';
import type { AverageSettingData, InstrumentData, MarketData, MarketEventData, PlanData, Stack } from '@/types/data';

const props = defineProps<{ plan: PlanData; market: MarketData }>();

const toast = useToast();
const bias = ref(props.plan.bias);
const choosing = ref(false);
const gauges = ref<string[]>([]);
const order = ref<AverageSettingData[]>([]);
const found = ref<InstrumentData[]>([]);
const typed = ref<string | InstrumentData>('');
const settingsError = ref('');
const noting = ref<MarketEventData | null>(null);
const note = ref('');
const weights = [0, 1, 2, 3];
const stacks: Record<Stack, string> = { up: 'stacked up', down: 'stacked down', mixed: 'mixed' };
const season = ref(0);
const seasonShown = computed(() => props.market.seasons[season.value] ?? null);
const coming = computed(() =>
    props.market.seasons.map((one) => ({ symbol: one.symbol, month: one.months.find((m) => m.coming) })),
);

watch(
    () => props.plan.bias,
    (next) => (bias.value = next),
);

function keepBias(): void {
    if (bias.value.trim() !== props.plan.bias) {
        router.patch('/plan/bias', { bias: bias.value }, { preserveScroll: true, preserveState: true });
    }
}

function weigh(event: MarketEventData, weight: number, words = event.note): void {
    router.patch(
        `/plan/market/events/${event.id}`,
        { weight, note: words },
        {
            preserveScroll: true,
            preserveState: true,
            onError: (errors) => toast.add({ severity: 'warn', summary: Object.values(errors)[0], life: 5000 }),
        },
    );
}

function writeNote(event: MarketEventData): void {
    noting.value = event;
    note.value = event.note;
}

function keepNote(): void {
    if (noting.value !== null) {
        weigh(noting.value, Math.max(1, noting.value.weight), note.value);
        noting.value = null;
    }
}

function choose(): void {
    gauges.value = props.market.gauges.map((one) => one.symbol);
    order.value = props.market.order.map((one) => ({ ...one }));
    settingsError.value = '';
    choosing.value = true;
}

async function find(event: AutoCompleteCompleteEvent): Promise<void> {
    try {
        found.value = await send<InstrumentData[]>('GET', `/instruments?q=${encodeURIComponent(event.query)}`);
    } catch (error) {
        toast.add({ severity: 'error', summary: (error as Error).message, life: 6000 });
    }
}

function addGauge(instrument: InstrumentData): void {
    if (!gauges.value.includes(instrument.symbol)) {
        gauges.value.push(instrument.symbol);
    }
    typed.value = '';
}

function moveGauge(index: number, step: 1 | -1): void {
    const [one] = gauges.value.splice(index, 1);
    if (one !== undefined) {
        gauges.value.splice(Math.max(0, index + step), 0, one);
    }
}

function keepSettings(): void {
    router.patch(
        '/plan/market/settings',
        { gauges: gauges.value, order: order.value.map(({ kind, period }) => ({ kind, period })) },
        {
            preserveScroll: true,
            preserveState: true,
            onSuccess: () => (choosing.value = false),
            onError: (errors) => (settingsError.value = Object.values(errors)[0] ?? 'It was refused.'),
        },
    );
}

const { travel, undoKeys } = useUndo();

useShortcuts([
    { keys: 's', does: 'write the stance', run: () => document.getElementById('stance')?.focus() },
    { keys: 'g', does: 'choose the gauges and averages', run: choose },
    {
        keys: 'm',
        does: 'season of the next index',
        run: () => (season.value = (season.value + 1) % Math.max(1, props.market.seasons.length)),
    },
    { keys: 'n', does: 'on to the candidates', run: () => router.visit('/plan/candidates') },
    ...undoKeys,
]);
</script>

<template>
    <AppShell title="Market" step="market">
        <div class="page">
            <header class="top">
                <div class="stance">
                    <h1>The market before {{ plan.session }}</h1>
                    <label for="stance">Your stance, in a line or two; it heads the edition <kbd>s</kbd></label>
                    <Textarea
                        id="stance"
                        v-model="bias"
                        rows="2"
                        maxlength="400"
                        fluid
                        auto-resize
                        placeholder="What governs the session: the side you lean to, what would change your mind."
                        @blur="keepBias"
                    />
                </div>
                <div class="tools">
                    <UndoButtons :undo="plan.undo" :redo="plan.redo" @travel="travel" />
                    <Button label="Gauges" icon="pi pi-sliders-h" text size="small" severity="secondary" @click="choose" />
                </div>
            </header>

            <section aria-label="Gauges">
                <table class="board">
                    <thead>
                        <tr>
                            <th>Gauge</th>
                            <th class="num">Last</th>
                            <th class="num">Change</th>
                            <th>60 sessions</th>
                            <th>Place in 52 weeks</th>
                            <th>Order of averages</th>
                            <th>Level above</th>
                            <th>Level below</th>
                            <th class="num">With {{ market.gauges[0]?.symbol }}</th>
                        </tr>
                    </thead>
                    <tbody>
                        <tr v-for="gauge in market.gauges" :key="gauge.symbol">
                            <th scope="row">
                                <Link :href="`/instruments/${gauge.symbol}`" class="symbol">{{ gauge.symbol }}</Link>
                                <span class="name">{{ gauge.name }}</span>
                            </th>
                            <td class="num">
                                {{ gauge.last ?? 'no bars' }} <span class="unit">{{ gauge.unit }}</span>
                            </td>
                            <td class="num">{{ gauge.change === null ? '–' : `${signed(gauge.change)} %` }}</td>
                            <td><SparkLine :values="gauge.spark" :label="`Closes of ${gauge.symbol}, 60 sessions`" /></td>
                            <td>
                                <PlaceBar
                                    :place="gauge.place"
                                    :label="`${Math.round(gauge.place ?? 0)} of 100 between the low and the high of 252 sessions`"
                                />
                            </td>
                            <td>
                                <span class="order" :class="gauge.order">{{
                                    gauge.order === null ? 'too young' : stacks[gauge.order]
                                }}</span>
                                <span v-if="gauge.slope !== null" class="muted"> slope {{ change(gauge.slope, 2) }} ATR</span>
                                <span v-if="gauge.crossing" class="name">{{ gauge.crossing }}</span>
                            </td>
                            <td class="level">
                                <template v-if="gauge.above"
                                    >{{ gauge.above.price }} <span class="muted">{{ signed(gauge.above.percent) }} %</span
                                    ><span class="name"
                                        >{{ gauge.above.origin }}, {{ signed(gauge.above.atr) }} ATR</span
                                    ></template
                                >
                                <span v-else class="muted">none</span>
                            </td>
                            <td class="level">
                                <template v-if="gauge.below"
                                    >{{ gauge.below.price }} <span class="muted">{{ signed(gauge.below.percent) }} %</span
                                    ><span class="name"
                                        >{{ gauge.below.origin }}, {{ signed(gauge.below.atr) }} ATR</span
                                    ></template
                                >
                                <span v-else class="muted">none</span>
                            </td>
                            <td class="num">{{ plain(gauge.correlation, 2) }}</td>
                        </tr>
                        <tr v-if="market.gauges.length === 0">
                            <td colspan="9" class="muted">No gauges are chosen: press <kbd>g</kbd>.</td>
                        </tr>
                    </tbody>
                </table>
                <p class="small muted">
                    Correlation of daily returns over 63 sessions. Slope of the slowest average, in average true ranges per
                    session.
                </p>
            </section>

            <div class="columns wide">
                <section aria-label="Events" class="events">
                    <h2>Events until {{ market.until }}</h2>
                    <p v-if="market.events.length === 0" class="muted">
                        Nothing is known for the coming ten sessions. Events are imported on the Data page.
                    </p>
                    <table v-else class="board">
                        <thead>
                            <tr>
                                <th>Day</th>
                                <th>When</th>
                                <th>What</th>
                                <th>Kind</th>
                                <th>Weight</th>
                                <th>Your note</th>
                            </tr>
                        </thead>
                        <tbody>
                            <tr v-for="event in market.events" :key="event.id" :class="`weight-${event.weight}`">
                                <td class="day">{{ event.day }}</td>
                                <td>{{ event.when || 'time not told' }}</td>
                                <td>
                                    <Link v-if="event.symbol" :href="`/instruments/${event.symbol}`" class="symbol">{{
                                        event.symbol
                                    }}</Link>
                                    {{ event.title }}<span v-if="event.ofCandidate" class="tag">candidate</span>
                                    <span class="name">{{ event.source }}</span>
                                </td>
                                <td>{{ event.kind }}</td>
                                <td>
                                    <SelectButton
                                        :model-value="event.weight"
                                        :options="weights"
                                        :allow-empty="false"
                                        size="small"
                                        :aria-label="`Weight of ${event.title}, 0 to 3`"
                                        @update:model-value="weigh(event, $event as number)"
                                    />
                                </td>
                                <td>
                                    <span v-if="event.note">{{ event.note }} </span>
                                    <Button
                                        :label="event.note ? 'Change' : 'Write'"
                                        text
                                        size="small"
                                        severity="secondary"
                                        :aria-label="`Note on ${event.title}`"
                                        @click="writeNote(event)"
                                    />
                                </td>
                            </tr>
                        </tbody>
                    </table>
                    <p v-if="market.otherEarnings > 0" class="small muted">
                        {{ market.otherEarnings }} more companies report by then; those of your candidates are listed.
                    </p>
                </section>
                <section v-if="market.breadth" aria-label="Breadth" class="breadth">
                    <h2>Breadth of {{ market.breadth.shares }} shares</h2>
                    <dl>
                        <div>
                            <dt>rose / fell</dt>
                            <dd>{{ market.breadth.advancers }} / {{ market.breadth.decliners }}</dd>
                        </div>
                        <div>
                            <dt>new 52-week highs / lows</dt>
                            <dd>{{ market.breadth.newHighs }} / {{ market.breadth.newLows }}</dd>
                        </div>
                        <div>
                            <dt>above SMA 50</dt>
                            <dd>{{ plain(market.breadth.above50, 0) }} %</dd>
                        </div>
                        <div>
                            <dt>above SMA 200</dt>
                            <dd>{{ plain(market.breadth.above200, 0) }} %</dd>
                        </div>
                        <div>
                            <dt>oscillator 19/39</dt>
                            <dd>{{ change(market.breadth.oscillator, 2) }}</dd>
                        </div>
                        <div>
                            <dt>its running sum</dt>
                            <dd>{{ change(market.breadth.sum, 0) }}</dd>
                        </div>
                    </dl>
                    <figure>
                        <SparkLine
                            :values="market.breadth.aboves"
                            :width="250"
                            :height="44"
                            :across="50"
                            label="Share above SMA 50 over 120 sessions"
                        />
                        <figcaption class="small muted">share above SMA 50, 120 sessions; dotted at 50 %</figcaption>
                    </figure>
                    <figure>
                        <SparkLine
                            :values="market.breadth.sums"
                            :width="250"
                            :height="44"
                            label="Running sum of the oscillator over 120 sessions"
                        />
                        <figcaption class="small muted">running sum of the oscillator, 120 sessions</figcaption>
                    </figure>
                </section>
            </div>

            <div class="columns">
                <section aria-label="Groups">
                    <h2>Groups, by return</h2>
                    <table class="board">
                        <thead>
                            <tr>
                                <th>Group</th>
                                <th v-for="n in market.horizons" :key="n" class="num">{{ n }} s.</th>
                                <th class="num">Rank</th>
                                <th class="num">Up</th>
                                <th>Leader over 126</th>
                            </tr>
                        </thead>
                        <tbody>
                            <tr v-for="group in market.groups" :key="group.name">
                                <th scope="row">{{ group.name }}</th>
                                <td v-for="(value, i) in group.returns" :key="i" class="num">{{ change(value, 1) }}</td>
                                <td class="num">{{ plain(group.rank, 0) }}</td>
                                <td class="num">{{ group.advancing }}/{{ group.members }}</td>
                                <td>
                                    <Link v-if="group.leader" :href="`/instruments/${group.leader}`">{{ group.leader }}</Link>
                                    <span class="muted">&nbsp;{{ change(group.leaderReturn, 1) }} %</span>
                                </td>
                            </tr>
                        </tbody>
                    </table>
                    <p class="small muted">
                        Mean of the group's shares in percent over so many sessions; rank among the groups, 100 the strongest over
                        126.
                    </p>
                </section>

                <section v-if="seasonShown" aria-label="Season">
                    <h2>Season</h2>
                    <p v-for="one in coming" :key="one.symbol" class="season-line">
                        <template v-if="one.month && one.month.years > 0">
                            <strong>{{ one.symbol }}</strong> in {{ one.month.month }}: {{ change(one.month.mean, 1) }} % on
                            average, rose in {{ Math.round((one.month.rises ?? 0) * one.month.years) }} of
                            {{ one.month.years }} years
                        </template>
                    </p>
                    <SelectButton
                        v-if="market.seasons.length > 1"
                        v-model="season"
                        :options="market.seasons.map((one, i) => ({ label: one.symbol, value: i }))"
                        option-label="label"
                        option-value="value"
                        :allow-empty="false"
                        size="small"
                        aria-label="Index"
                    />
                    <table class="board months">
                        <thead>
                            <tr>
                                <th>Month</th>
                                <th class="num">Years</th>
                                <th class="num">Mean</th>
                                <th class="num">Median</th>
                                <th class="num">Rose</th>
                                <th class="num" :title="seasonShown.cycle">Of the cycle</th>
                            </tr>
                        </thead>
                        <tbody>
                            <tr v-for="month in seasonShown.months" :key="month.month" :class="{ coming: month.coming }">
                                <th scope="row">{{ month.month }}</th>
                                <td class="num">{{ month.years }}</td>
                                <td class="num">{{ change(month.mean, 1) }}</td>
                                <td class="num">{{ change(month.median, 1) }}</td>
                                <td class="num">{{ percent(month.rises) }}</td>
                                <td class="num">
                                    {{ change(month.cycleMean, 1) }} <span class="muted">({{ month.cycleYears }})</span>
                                </td>
                            </tr>
                        </tbody>
                    </table>
                    <p class="small muted">
                        Returns of the month in percent. Of the cycle: {{ seasonShown.cycle }}, with the number of years.
                    </p>
                </section>
            </div>
        </div>

        <Dialog v-model:visible="choosing" modal header="Gauges and averages" :style="{ width: '460px' }">
            <div class="choose">
                <ol>
                    <li v-for="(symbol, i) in gauges" :key="symbol">
                        <span>{{ symbol }}</span>
                        <Button
                            icon="pi pi-arrow-up"
                            text
                            size="small"
                            severity="secondary"
                            :disabled="i === 0"
                            :aria-label="`Move ${symbol} up`"
                            @click="moveGauge(i, -1)"
                        />
                        <Button
                            icon="pi pi-arrow-down"
                            text
                            size="small"
                            severity="secondary"
                            :disabled="i === gauges.length - 1"
                            :aria-label="`Move ${symbol} down`"
                            @click="moveGauge(i, 1)"
                        />
                        <Button
                            icon="pi pi-times"
                            text
                            size="small"
                            severity="secondary"
                            :aria-label="`Leave ${symbol} out`"
                            @click="gauges.splice(i, 1)"
                        />
                    </li>
                </ol>
                <AutoComplete
                    v-model="typed"
                    input-id="add-gauge"
                    :suggestions="found"
                    option-label="symbol"
                    placeholder="add by symbol or name"
                    auto-option-focus
                    fluid
                    :delay="100"
                    aria-label="Add a gauge"
                    @complete="find"
                    @option-select="addGauge($event.value as InstrumentData)"
                >
                    <template #option="{ option }: { option: InstrumentData }">
                        <strong>{{ option.symbol }}</strong>&nbsp;{{ option.name }}
                    </template>
                </AutoComplete>
                <p class="muted">The first one leads: the others are correlated with it.</p>
                <h2>Averages by which the order is told, the fastest first</h2>
                <AverageList v-model="order" :most="5" :least="1" />
                <p v-if="settingsError" class="error" role="alert">{{ settingsError }}</p>
                <div class="end">
                    <Button label="Leave it" text size="small" severity="secondary" @click="choosing = false" />
                    <Button label="Keep" size="small" @click="keepSettings" />
                </div>
            </div>
        </Dialog>
        <Dialog
            :visible="noting !== null"
            modal
            :header="noting?.title"
            :style="{ width: '420px' }"
            @update:visible="noting = null"
        >
            <form class="choose" @submit.prevent="keepNote">
                <label for="event-note">What it could mean, in a few words</label>
                <InputText id="event-note" v-model="note" maxlength="200" fluid autofocus />
                <div class="end">
                    <Button label="Leave it" text size="small" severity="secondary" @click="noting = null" />
                    <Button type="submit" label="Keep" size="small" />
                </div>
            </form>
        </Dialog>
    </AppShell>
</template>

<style scoped>
.page {
    padding: 12px 16px 32px;
}
.top {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 24px;
    margin-bottom: 12px;
}
.stance {
    max-width: 860px;
}
.stance label {
    display: block;
    margin: 2px 0 4px;
    color: var(--ink-2);
}
.stance :deep(textarea) {
    font: 400 16px/22px var(--serif);
}
.tools {
    display: flex;
    align-items: flex-start;
}
.board {
    width: 100%;
    border-collapse: collapse;
}
.board th,
.board td {
    padding: 4px 8px;
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
}
.board .num {
    text-align: right;
    white-space: nowrap;
}
.symbol {
    font-weight: 650;
    text-decoration: none;
}
.symbol:hover {
    text-decoration: underline;
}
.name {
    display: block;
    font-size: 12px;
    line-height: 15px;
    font-weight: 400;
    color: var(--ink-3);
}
.level,
.level .name {
    white-space: nowrap;
}
.unit {
    color: var(--ink-3);
    font-size: 12px;
}
.order {
    font-weight: 600;
}
.order.mixed {
    font-weight: 400;
}
.small {
    margin-top: 4px;
    font-size: 12px;
    line-height: 16px;
}
.columns {
    display: grid;
    grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
    gap: 32px;
    margin-top: 20px;
}
.columns.wide {
    grid-template-columns: minmax(0, 1fr) 282px;
}
.breadth dl {
    margin: 4px 0 8px;
}
.breadth dl div {
    display: flex;
    justify-content: space-between;
    padding: 3px 0;
    border-bottom: 1px solid var(--hair);
}
.breadth dt {
    color: var(--ink-2);
}
.breadth dd {
    margin: 0;
    font-weight: 600;
}
figure {
    margin: 8px 0 0;
}
.season-line {
    line-height: 19px;
}
.months {
    margin-top: 4px;
}
.months th,
.months td {
    padding: 1px 8px;
}
.months tr.coming > * {
    background: var(--wash);
    font-weight: 650;
}
.events .day {
    white-space: nowrap;
    font-weight: 600;
}
.events tr.weight-3 > td {
    background: var(--look-wash);
}
.events tr.weight-2 > td:first-child {
    box-shadow: inset 3px 0 0 var(--look);
}
.tag {
    margin-left: 6px;
    padding: 0 4px;
    border: 1px solid var(--hair-2);
    font-size: 12px;
    color: var(--ink-2);
}
.choose {
    display: flex;
    flex-direction: column;
    gap: 8px;
}
.choose ol {
    margin: 0;
    padding: 0;
    list-style: none;
}
.choose li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto auto auto;
    align-items: center;
    border-bottom: 1px solid var(--hair);
}
.end {
    display: flex;
    justify-content: flex-end;
    gap: 8px;
}
@media (max-width: 1100px) {
    .columns,
    .columns.wide {
        grid-template-columns: minmax(0, 1fr);
    }
    .page {
        overflow-x: auto;
    }
}
</style>
