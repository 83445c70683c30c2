<script setup lang="ts">
import DatePicker from 'primevue/datepicker';
import { computed } from 'vue';
import { LAYERS } from '@/chart/layers';
import { dayOf, iso } from '@/lib/date';
import type { LadderRowData, LevelLayer } from '@/types/data';

/** Which layers of levels are shown, how many each holds, and the cross-check as of an earlier evening. */
const props = defineProps<{ rows: LadderRowData[]; clean: boolean; asOf: string | null; newest: string }>();
const layers = defineModel<LevelLayer[]>({ required: true });
const emit = defineEmits<{ clean: []; asOf: [date: string | null] }>();

const counts = computed(() => {
    const all = new Map<string, number>();
    for (const row of props.rows) {
        all.set(row.layer ?? '', (all.get(row.layer ?? '') ?? 0) + 1);
    }
    return all;
});

function toggle(layer: LevelLayer): void {
    layers.value = layers.value.includes(layer) ? layers.value.filter((one) => one !== layer) : [...layers.value, layer];
}

defineExpose({ toggle });
</script>

<template>
    <div class="layers" role="group" aria-label="Levels that are shown">
        <button
            v-for="layer in LAYERS"
            :key="layer.value"
            type="button"
            class="layer"
            :disabled="clean"
            :aria-pressed="!clean && layers.includes(layer.value)"
            :title="`${layer.name} (Shift+${layer.key})`"
            @click="toggle(layer.value)"
        >
            {{ layer.label }} <span class="count">{{ counts.get(layer.value) ?? 0 }}</span>
        </button>
        <button
            type="button"
            class="layer"
            :aria-pressed="clean"
            title="only the setup and its nearest levels (Shift+C)"
            @click="emit('clean')"
        >
            Clean
        </button>
        <label class="as-of" :class="{ look: asOf !== null }">
            Found as of
            <DatePicker
                :model-value="dayOf(asOf ?? '')"
                :max-date="dayOf(newest) ?? undefined"
                date-format="d M yy"
                placeholder="now"
                size="small"
                show-button-bar
                input-class="as-of-date"
                aria-label="Cross-check as of an earlier evening"
                @update:model-value="emit('asOf', iso($event))"
            />
        </label>
    </div>
</template>

<style scoped>
.layers {
    display: flex;
    align-items: center;
    gap: 2px;
    height: 26px;
    white-space: nowrap;
    font-size: 13px;
}
.layer {
    padding: 1px 6px;
    border: 0;
    border-bottom: 2px solid transparent;
    background: none;
    color: var(--ink-3);
    font-size: 13px;
    line-height: 18px;
    cursor: pointer;
}
.layer[aria-pressed='true'] {
    border-color: var(--ink);
    color: var(--ink);
    font-weight: 600;
}
.layer:disabled {
    cursor: default;
}
.count {
    font-size: 11px;
    font-weight: 400;
    color: var(--ink-3);
}
.as-of {
    display: inline-flex;
    align-items: center;
    gap: 6px;
    margin-left: auto;
    color: var(--ink-3);
}
.as-of :deep(.as-of-date) {
    width: 92px;
    padding: 0 6px;
    font-size: 12px;
    line-height: 20px;
}
</style>
