<script setup lang="ts">
import { Link } from '@inertiajs/vue3';
import Button from 'primevue/button';
import ProgressBar from 'primevue/progressbar';
import Select from 'primevue/select';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { send } from '@/lib/http';
import type { RehearsalData, RehearsalDeskData, RehearsalScope, SetupData } from '@/types/data';
import DotPlot from './DotPlot.vue';

/** The setup's rule run over the past, before it is published. */
const props = defineProps<{ candidate: number; symbol: string; variant: number; setup: SetupData }>();

const ASK = 300;
const FIRST = 12;
const YEARS = [
    { label: 'one year', value: 252 },
    { label: 'three years', value: 756 },
    { label: 'ten years', value: 2520 },
];

const desk = ref<RehearsalDeskData | null>(null);
const run = ref<RehearsalData | null>(null);
const at = ref<string | null>(null);
const scope = ref<RehearsalScope>('instrument');
const sessions = ref(756);
const fault = ref<string | null>(null);
const all = ref(false);
let timer: number | undefined;

const base = computed(() => `/plan/mark/${props.candidate}/rehearsals`);
const query = computed(() => `?variant=${props.variant}`);
const underWay = computed(() => run.value?.state === 'queued' || run.value?.state === 'running');
const percent = computed(() => (run.value === null || run.value.total === 0 ? 0 : (100 * run.value.done) / run.value.total));
const scopes = computed(() => [
    { label: props.symbol, value: 'instrument' },
    ...(desk.value === null || desk.value.others === 0
        ? []
        : [{ label: `all ${desk.value.others + 1} of ${desk.value.group}`, value: 'group' }]),
]);
const counted = computed(() => (run.value?.cases ?? []).flatMap((one) => (one.counts && one.value !== null ? [one.value] : [])));
const shown = computed(() => (all.value ? (run.value?.cases ?? []) : (run.value?.cases ?? []).slice(0, FIRST)));

async function load(): Promise<void> {
    window.clearTimeout(timer);
    try {
        const next = await send<RehearsalDeskData>('GET', `${base.value}${query.value}`);
        desk.value = next;
        run.value = next.last;
        at.value = next.last !== null && next.choices.includes(next.last.at) ? next.last.at : (next.choices[0] ?? null);
        scope.value = next.last?.scope ?? 'instrument';
        sessions.value = next.last?.sessions ?? 756;
        follow();
    } catch (error) {
        fault.value = (error as Error).message;
    }
}

function follow(): void {
    window.clearTimeout(timer);
    if (underWay.value) {
        timer = window.setTimeout(() => void look(), ASK);
    }
}

async function look(): Promise<void> {
    try {
        if (run.value !== null) {
            run.value = await send<RehearsalData>('GET', `${base.value}/${run.value.id}${query.value}`);
        }
    } catch {
        // it is asked again
    }
    follow();
}

async function start(): Promise<void> {
    fault.value = null;
    all.value = false;
    try {
        run.value = await send<RehearsalData>('POST', `${base.value}${query.value}`, {
            at: at.value,
            scope: scope.value,
            sessions: sessions.value,
        });
        follow();
    } catch (error) {
        fault.value = (error as Error).message;
    }
}

async function cancel(): Promise<void> {
    if (run.value !== null) {
        run.value = await send<RehearsalData>('POST', `${base.value}/${run.value.id}/cancel${query.value}`);
    }
}

watch(() => [props.candidate, props.variant, props.setup.sentence], load, { immediate: true });
onBeforeUnmount(() => window.clearTimeout(timer));

defineExpose({ start });
</script>

<template>
    <section class="rehearsal" aria-label="Rehearsal">
        <header>
            <h2>Rehearsal</h2>
        </header>
        <p v-if="desk !== null && desk.choices.length === 0" class="muted">
            A rehearsal runs the rule of a setup over the past. Set an entry and a stop first.
        </p>
        <template v-else-if="desk !== null">
            <div class="ask">
                <span id="stands-at">The entry stands at</span>
                <Select v-model="at" aria-labelledby="stands-at" :options="desk.choices" size="small" />
                <span id="over">Over the past of</span>
                <Select
                    v-model="scope"
                    aria-labelledby="over"
                    :options="scopes"
                    option-label="label"
                    option-value="value"
                    size="small"
                />
                <span id="years">going back</span>
                <Select
                    v-model="sessions"
                    aria-labelledby="years"
                    :options="YEARS"
                    option-label="label"
                    option-value="value"
                    size="small"
                />
            </div>
            <Button v-if="!underWay" label="Rehearse" size="small" :disabled="at === null" @click="start" />
        </template>
        <p v-if="fault" class="error" role="alert">{{ fault }}</p>
        <div v-if="run !== null && underWay" class="progress">
            <ProgressBar :value="percent" :show-value="false" />
            <span>{{ run.done }} of {{ run.total }} instruments</span>
            <Button label="Cancel" text size="small" severity="secondary" @click="cancel" />
        </div>
        <template v-else-if="run !== null">
            <p v-if="run.message" class="note">{{ run.message }}</p>
            <p v-if="run.isStale" class="stale">The setup has changed since: this is how it stood then.</p>
            <p v-for="line in run.rule" :key="line" class="rule">{{ line }}</p>
            <dl class="figures" aria-label="What its cases come to">
                <template v-for="figure in run.figures" :key="figure.label">
                    <dt>{{ figure.label }}</dt>
                    <dd>
                        <b>{{ figure.value }}</b> <span>{{ figure.note }}</span>
                    </dd>
                </template>
            </dl>
            <p v-if="run.tooFew" class="note">{{ run.tooFew }}</p>
            <DotPlot :values="counted" :width="284" />
            <p class="muted">This is what happened, under this rule, on these evenings. It promises nothing for the next one.</p>
            <table v-if="run.cases.length > 0">
                <caption class="visually-hidden">
                    The cases, the latest first
                </caption>
                <thead>
                    <tr>
                        <th>Evening</th>
                        <th class="num">Level</th>
                        <th>What came of it</th>
                        <th class="num">R</th>
                    </tr>
                </thead>
                <tbody>
                    <tr v-for="one in shown" :key="one.number" :class="{ aside: !one.counts }">
                        <td>
                            <Link :href="`${base}/${run.id}/cases/${one.number}`">{{ one.date }}</Link>
                            <template v-if="run.scope === 'group'">{{ ` ${one.symbol}` }}</template>
                        </td>
                        <td class="num">{{ one.level }}</td>
                        <td>{{ one.what }}</td>
                        <td class="num">
                            {{ one.value === null ? '' : `${one.value < 0 ? '−' : '+'}${Math.abs(one.value).toFixed(1)}` }}
                        </td>
                    </tr>
                </tbody>
            </table>
            <Button
                v-if="run.cases.length > FIRST && !all"
                :label="`All ${run.cases.length} cases`"
                text
                size="small"
                severity="secondary"
                @click="all = true"
            />
        </template>
    </section>
</template>

<style scoped>
.rehearsal {
    display: flex;
    flex-direction: column;
    align-items: flex-start;
    gap: 8px;
}
header {
    height: 24px;
}
.ask {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    gap: 4px 8px;
    align-items: center;
    width: 100%;
    font-size: 13px;
}
.progress {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto auto;
    gap: 8px;
    align-items: center;
    width: 100%;
    font-size: 13px;
}
.rule {
    font-size: 13px;
    line-height: 18px;
    color: var(--ink-2);
}
.note,
.muted {
    font-size: 13px;
    line-height: 18px;
}
.stale {
    color: var(--look);
    font-size: 13px;
}
.figures {
    display: grid;
    grid-template-columns: 92px minmax(0, 1fr);
    gap: 2px 8px;
    margin: 0;
    font-size: 13px;
    line-height: 18px;
}
.figures dt,
.figures span {
    color: var(--ink-2);
}
.figures dd {
    margin: 0;
}
.figures b {
    font-weight: 600;
    white-space: nowrap;
}
table {
    width: 100%;
    border-collapse: collapse;
    font-size: 12px;
    line-height: 16px;
}
th {
    font-weight: 400;
    color: var(--ink-3);
}
td {
    padding: 4px 4px 4px 0;
    border-bottom: 1px solid var(--hair);
    vertical-align: top;
}
td:first-child {
    white-space: nowrap;
}
th:not(.num) {
    text-align: left;
}
.num {
    text-align: right;
    white-space: nowrap;
}
.aside {
    color: var(--ink-3);
}
.error {
    color: var(--stop);
    font-size: 13px;
    line-height: 18px;
}
</style>
