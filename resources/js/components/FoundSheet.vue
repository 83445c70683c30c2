<script setup lang="ts">
import Button from 'primevue/button';
import { FRAMES } from '@/chart/frames';
import type { FoundLevelData, LadderRowData } from '@/types/data';
import TouchList from './TouchList.vue';

/** A level of the cross-check with its evidence. */
defineProps<{ row: LadderRowData; evidence: FoundLevelData | null }>();
const emit = defineEmits<{ adopt: []; done: [] }>();

function frameName(value: string): string {
    return FRAMES.find((frame) => frame.value === value)?.name ?? value;
}

const kinds: Record<FoundLevelData['kind'], string> = {
    zone: 'Zone of turns',
    period: 'Mark of a past period',
    gap: 'Gap',
    pivot: 'Pivot point',
    retracement: 'Retracement',
    projection: 'Projection',
    line: 'Trend line',
    average: 'Average',
    round: 'Round number',
    expected_range: 'Edge of the expected range',
    confluence: 'Several levels together',
};
</script>

<template>
    <section class="found" aria-label="Found by the cross-check" @keydown.esc.stop="emit('done')">
        <h2>
            {{ evidence ? kinds[evidence.kind] : 'Found' }} <span>{{ row.span || row.price }}</span>
        </h2>
        <p>{{ row.label }}</p>
        <p class="muted">
            {{ row.grade }}{{ row.timeFrame ? `, on bars of a ${frameName(row.timeFrame)}` : '' }}, {{ row.agreement
            }}{{ row.agreement === 'agrees' ? ' with a level of yours' : ''
            }}<template v-if="evidence?.kind === 'zone'">, score {{ evidence.score }}</template>
        </p>
        <p v-if="evidence && evidence.members.length > 0" class="muted">
            {{ evidence.kind === 'zone' ? 'The turns it is made of:' : 'What lies together:' }}
        </p>
        <ul v-if="evidence && evidence.members.length > 0">
            <li v-for="member in evidence.members" :key="member">{{ member }}</li>
        </ul>
        <TouchList v-if="evidence && ['zone', 'line'].includes(evidence.kind)" :touches="evidence.touches" />
        <Button size="small" severity="secondary" outlined @click="emit('adopt')">Take it over <kbd>a</kbd></Button>
    </section>
</template>

<style scoped>
.found {
    display: grid;
    gap: 6px;
    justify-items: start;
    font-size: 13px;
}
h2 span {
    font-weight: 400;
    color: var(--ink-2);
}
ul {
    margin: 0;
    padding-left: 16px;
    line-height: 18px;
    color: var(--ink-2);
}
</style>
