<script setup lang="ts">
import { router } from '@inertiajs/vue3';
import Button from 'primevue/button';
import Checkbox from 'primevue/checkbox';
import InputNumber from 'primevue/inputnumber';
import InputText from 'primevue/inputtext';
import Popover from 'primevue/popover';
import Select from 'primevue/select';
import { computed, ref, watch } from 'vue';
import type { AverageSettingData, ChartSettingsData, PaneKind, PaneSettingData } from '@/types/data';
import AverageList from './AverageList.vue';

/** What the chart shows beside price: averages and panes, kept for the author. */
const props = defineProps<{ settings: ChartSettingsData; benchmark: string | null }>();

const MOST_AVERAGES = 5;
const MOST_PANES = 3;
const KINDS: { kind: PaneKind; label: string; names: string[]; values: number[] }[] = [
    { kind: 'volume', label: 'Volume', names: ['period'], values: [20] },
    { kind: 'rsi', label: 'RSI', names: ['period', 'low', 'high'], values: [14, 30, 70] },
    { kind: 'macd', label: 'MACD', names: ['fast', 'slow', 'signal'], values: [12, 26, 9] },
    { kind: 'stochastic', label: 'Stochastic', names: ['k', 'smooth', 'd', 'low', 'high'], values: [14, 3, 3, 20, 80] },
    { kind: 'directional_movement', label: 'Directional movement', names: ['period'], values: [14] },
    { kind: 'z_score', label: 'Z-score', names: ['period'], values: [20] },
    { kind: 'ratio', label: 'Ratio to another', names: ['average'], values: [50] },
];

const panel = ref<InstanceType<typeof Popover>>();
const averages = ref<AverageSettingData[]>([]);
const panes = ref<PaneSettingData[]>([]);
const extended = ref(false);
const error = ref('');
const keeping = ref(false);
const free = computed(() => KINDS.filter((one) => !panes.value.some((pane) => pane.kind === one.kind)));

watch(
    () => props.settings,
    (settings) => {
        averages.value = settings.averages.map((one) => ({ ...one }));
        panes.value = settings.panes.map((one) => ({ ...one, names: [...one.names], values: [...one.values] }));
        extended.value = settings.extended;
    },
    { immediate: true },
);

function label(kind: PaneKind): string {
    return KINDS.find((one) => one.kind === kind)?.label ?? kind;
}

function addPane(kind: PaneKind): void {
    const found = KINDS.find((one) => one.kind === kind);
    if (found !== undefined) {
        panes.value.push({
            kind,
            names: [...found.names],
            values: [...found.values],
            symbol: kind === 'ratio' ? (props.benchmark ?? '') : null,
        });
        keep();
    }
}

function removePane(index: number): void {
    panes.value.splice(index, 1);
    keep();
}

function keep(): void {
    keeping.value = true;
    router.patch(
        '/settings/chart',
        {
            averages: averages.value.map(({ kind, period }) => ({ kind, period })),
            panes: panes.value.map((pane) => ({
                kind: pane.kind,
                parameters: Object.fromEntries(pane.names.map((name, i) => [name, pane.values[i] ?? 1])),
                symbol: pane.kind === 'ratio' ? (pane.symbol ?? '').trim() : null,
            })),
            extended: extended.value,
        },
        {
            only: ['chart', 'settings', 'errors'],
            preserveScroll: true,
            preserveState: true,
            onSuccess: () => (error.value = ''),
            onError: (errors) => (error.value = `${Object.values(errors)[0] ?? 'It was refused.'} What was kept before stays.`),
            onFinish: () => (keeping.value = false),
        },
    );
}

function open(event: Event): void {
    panel.value?.toggle(event);
}

defineExpose({ open: () => document.getElementById('chart-chooser')?.click() });
</script>

<template>
    <Button
        id="chart-chooser"
        icon="pi pi-sliders-h"
        label="Shown"
        text
        size="small"
        severity="secondary"
        aria-haspopup="dialog"
        @click="open"
    />
    <Popover ref="panel" aria-label="What the chart shows">
        <div class="chooser">
            <h2>Averages</h2>
            <AverageList v-model="averages" :most="MOST_AVERAGES" @change="keep" />
            <h2>Panes below price</h2>
            <ul class="panes">
                <li v-for="(pane, i) in panes" :key="pane.kind">
                    <span class="kind">{{ label(pane.kind) }}</span>
                    <span class="parameters">
                        <label v-for="(name, j) in pane.names" :key="name">
                            {{ name }}
                            <InputNumber
                                v-model="pane.values[j]"
                                :min="1"
                                :max="400"
                                size="small"
                                input-class="bars-count"
                                :aria-label="`${label(pane.kind)}, ${name}`"
                                @update:model-value="keep"
                            />
                        </label>
                        <label v-if="pane.kind === 'ratio'">
                            symbol
                            <InputText v-model="pane.symbol" size="small" class="symbol" @change="keep" />
                        </label>
                    </span>
                    <Button
                        icon="pi pi-times"
                        text
                        size="small"
                        severity="secondary"
                        :aria-label="`Hide ${label(pane.kind)}`"
                        @click="removePane(i)"
                    />
                </li>
            </ul>
            <p v-if="panes.length === 0" class="muted">Price alone.</p>
            <Select
                v-if="panes.length < MOST_PANES"
                :model-value="null"
                :options="free"
                option-label="label"
                option-value="kind"
                placeholder="Add a pane"
                size="small"
                aria-label="Add a pane"
                @update:model-value="addPane($event as PaneKind)"
            />
            <p v-else class="muted">Three panes are the most: hide one to show another.</p>
            <label class="extended">
                <Checkbox v-model="extended" binary @update:model-value="keep" />
                Hours around the session, on 5 minutes to 4 hours
            </label>
            <p v-if="error" class="error" role="alert">{{ error }}</p>
            <p class="muted kept">{{ keeping ? 'Keeping…' : 'Kept for you, on every instrument.' }}</p>
        </div>
    </Popover>
</template>

<style scoped>
.chooser {
    display: flex;
    flex-direction: column;
    gap: 8px;
    width: 430px;
    max-width: calc(100vw - 40px);
}
.panes {
    display: flex;
    flex-direction: column;
    gap: 6px;
    margin: 0;
    padding: 0;
    list-style: none;
}
.panes li {
    display: grid;
    grid-template-columns: 92px minmax(0, 1fr) auto;
    gap: 8px;
    align-items: center;
}
.kind {
    font-weight: 600;
    line-height: 16px;
}
.parameters {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 10px;
}
.parameters label {
    display: inline-flex;
    align-items: center;
    gap: 4px;
    font-size: 13px;
    color: var(--ink-2);
}
.chooser :deep(.bars-count) {
    width: 48px;
    text-align: right;
}
.symbol {
    width: 104px;
}
.extended {
    display: flex;
    gap: 8px;
    align-items: center;
}
.kept {
    font-size: 12px;
}
</style>
