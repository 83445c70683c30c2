<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3';
import ToggleSwitch from 'primevue/toggleswitch';
import { computed, onMounted, ref } from 'vue';
import { marksOf, stillLine, type PriceLine } from '@/chart/lines';
import { panesHeight } from '@/chart/panes';
import PriceChart from '@/chart/PriceChart.vue';
import { near, priceScale } from '@/chart/scales';
import AppShell from '@/components/AppShell.vue';
import RStrip from '@/components/RStrip.vue';
import { useShortcuts } from '@/lib/keys';
import { signed } from '@/lib/price';
import { useWidth } from '@/lib/width';
import type { RehearsedCaseData } from '@/types/data';

/** One case of a rehearsal: the chart as it stood on its evening, and what happened since when it is asked for. */
const props = defineProps<{ case: RehearsedCaseData }>();

const HEIGHT = 440;

const box = ref<HTMLElement>();
const width = useWidth(box, 900);
const since = ref(false);

const chart = computed(() => props.case.chart);
const window_ = computed(() => {
    const last = chart.value.sessions.length - 1;
    return { first: 0, last: since.value ? last : last - props.case.after };
});
const line = (kind: PriceLine['kind'], key: string, price: string, label: string): PriceLine =>
    stillLine(kind, key, price, label, props.case.side);
const lines = computed<PriceLine[]>(() => [
    ...(props.case.entries.includes(props.case.level)
        ? []
        : [{ ...line('level', 'level', props.case.level, 'the level'), grade: 'major' as const }]),
    ...props.case.entries.map((price, i) => line('entry', `entry-${i}`, price, i === 0 ? 'entry' : `entry ${i + 1}`)),
    line('stop', 'stop', props.case.stop, 'stop'),
    ...props.case.targets.map((price, i) => line('target', `target-${i}`, price, `target ${i + 1}`)),
]);
const marks = computed(() => (since.value ? marksOf(props.case.events) : []));
const y = computed(() =>
    priceScale(
        chart.value,
        window_.value,
        near(
            chart.value,
            window_.value,
            lines.value.map((one) => one.value),
        ),
        HEIGHT - 20 - panesHeight(chart.value),
    ),
);

const back = computed(() => `/plan/mark/${props.case.candidate}`);
function go(step: 1 | -1): void {
    const next = props.case.number + step;
    if (next >= 0 && next < props.case.of) {
        router.visit(location.pathname.replace(/\d+$/, String(next)));
    }
}

useShortcuts([
    { keys: 'j', does: 'the case after', run: () => go(1) },
    { keys: 'k', does: 'the case before', run: () => go(-1) },
    { keys: 's', does: 'show or hide what happened since', run: () => (since.value = !since.value) },
    { keys: 'Escape', does: 'back to the candidate', run: () => router.visit(back.value) },
]);

onMounted(() => box.value?.focus());
</script>

<template>
    <AppShell :title="`${props.case.symbol} on ${props.case.date}, rehearsal`" step="mark">
        <main class="page">
            <header>
                <h1>
                    {{ props.case.symbol }} <span>{{ props.case.name }}, {{ props.case.date }}</span>
                </h1>
                <p>
                    <span>Case {{ props.case.number + 1 }} of {{ props.case.of }} of a rehearsal.</span>
                    <button type="button" :disabled="props.case.number === 0" @click="go(-1)">The one before</button>
                    <button type="button" :disabled="props.case.number + 1 >= props.case.of" @click="go(1)">The one after</button>
                    <Link :href="back">Back to the candidate</Link>
                </p>
            </header>
            <p class="sentence">{{ props.case.sentence }}</p>
            <p class="muted">It stood at {{ props.case.standsAt }}, {{ props.case.level }}. Prices are on the scale of today.</p>
            <div class="switch">
                <ToggleSwitch v-model="since" input-id="since" />
                <label for="since">What happened since</label>
            </div>
            <div ref="box" class="chart">
                <PriceChart
                    :chart="chart"
                    :window="window_"
                    :y="y"
                    :width="width"
                    :height="HEIGHT"
                    :lines="lines"
                    :scale="null"
                    :name="`${props.case.symbol} ${props.case.name}`"
                    :marks="marks"
                    tags
                />
            </div>
            <section v-if="since" class="since" aria-label="What happened since">
                <p>
                    <b>{{ props.case.what }}</b><template v-if="props.case.r !== null"
                        >, {{ signed(props.case.r, 2) }} R</template
                    >
                </p>
                <ol>
                    <li v-for="(event, i) in props.case.events" :key="i">
                        <span class="when">{{ event.when }}</span> {{ event.what
                        }}<template v-if="event.price"> at {{ event.price }}</template>
                        <span v-if="event.note" class="muted">({{ event.note }})</span>
                    </li>
                </ol>
            </section>
            <RStrip v-else :strip="props.case.strip" :width="280" labels />
        </main>
    </AppShell>
</template>

<style scoped>
.page {
    max-width: 1080px;
    margin: 0 auto;
    padding: 16px;
}
header {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: baseline;
    gap: 4px 16px;
}
h1 span {
    font-weight: 400;
    color: var(--ink-2);
}
header p {
    display: flex;
    flex-wrap: wrap;
    gap: 0 16px;
    font-size: 13px;
}
header button {
    padding: 0;
    border: 0;
    background: none;
    font: inherit;
    color: inherit;
    text-decoration: underline;
    cursor: pointer;
}
header button:disabled {
    color: var(--ink-3);
    text-decoration: none;
    cursor: default;
}
.sentence {
    margin-top: 8px;
    font: 400 17px/24px var(--serif);
    text-wrap: pretty;
}
.switch {
    display: flex;
    align-items: center;
    gap: 8px;
    margin: 8px 0;
}
.since ol {
    margin: 4px 0 0;
    padding: 0;
    list-style: none;
}
.since li {
    line-height: 22px;
}
.when {
    display: inline-block;
    min-width: 72px;
    color: var(--ink-2);
}
</style>
