<script setup lang="ts">
import { FRAMES } from '@/chart/frames';
import type { TimeFrame } from '@/types/data';

/** How the chart is looked at, and what is asked of the pointer just now. */
defineProps<{
    /** what is to be picked or was measured; it takes the place of the choices */
    words: string | null;
    held: boolean;
    beside: TimeFrame | null;
}>();
const log = defineModel<boolean>('log', { required: true });
const snaps = defineModel<boolean>('snaps', { required: true });
const strip = defineModel<boolean>('strip', { required: true });
const emit = defineEmits<{ hold: []; beside: []; line: []; more: [] }>();
</script>

<template>
    <div class="view-bar" role="group" aria-label="View of the chart">
        <strong v-if="words !== null" class="look" role="status">{{ words }}</strong>
        <template v-else>
            <button type="button" :aria-pressed="log" title="Logarithmic scale (Shift+L)" @click="log = !log">Log</button>
            <button
                type="button"
                :aria-pressed="held"
                title="Hold the price scale (Shift+H); drag the axis to stretch it"
                @click="emit('hold')"
            >
                Hold
            </button>
            <button
                type="button"
                :aria-pressed="snaps"
                title="Marks snap to highs, lows and closes (Shift+T)"
                @click="snaps = !snaps"
            >
                Snap
            </button>
            <button type="button" :aria-pressed="beside !== null" title="A larger chart beside (Shift+W)" @click="emit('beside')">
                Beside{{ beside === null ? '' : `: ${FRAMES.find((one) => one.value === beside)?.label}` }}
            </button>
            <button type="button" :aria-pressed="strip" title="All time frames in a strip (Shift+S)" @click="strip = !strip">
                Strip
            </button>
            <button type="button" title="Pick the two points of a line (/)" @click="emit('line')">Line</button>
            <button type="button" title="A zone, line, average or ratios, typed (Shift+M)" @click="emit('more')">More…</button>
            <slot />
        </template>
    </div>
</template>

<style scoped>
.view-bar {
    display: flex;
    align-items: center;
    gap: 2px;
    height: 22px;
    overflow: hidden;
    white-space: nowrap;
    font-size: 13px;
}
button {
    padding: 0 6px;
    border: 0;
    background: none;
    color: var(--ink-3);
    font-size: 12px;
    line-height: 18px;
    cursor: pointer;
}
button[aria-pressed='true'] {
    color: var(--ink);
    font-weight: 600;
    text-decoration: underline;
    text-underline-offset: 3px;
}
.view-bar :deep(#chart-chooser) {
    padding: 0 6px;
    font-size: 12px;
    line-height: 18px;
}
</style>
