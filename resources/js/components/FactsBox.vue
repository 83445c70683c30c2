<script setup lang="ts">
import type { CandidateFactData } from '@/types/data';

/** The few facts that decide; one beyond the author's limits stands out, with the reason. */
defineProps<{ facts: CandidateFactData[] }>();

/** Those that need a line of their own, with their note beside them. */
const WIDE = ['Averages stacked', 'ATR from averages', 'Compression', 'Earnings', 'Expected range', 'Up in two sessions'];
</script>

<template>
    <dl v-if="facts.length > 0" class="facts-box">
        <div
            v-for="fact in facts"
            :key="fact.label"
            :class="{ wide: WIDE.includes(fact.label), look: fact.caution !== '' }"
            :title="[fact.value, fact.note, fact.caution].filter((part) => part !== '').join(', ')"
        >
            <dt>{{ fact.label }}</dt>
            <dd>
                <i v-if="fact.caution" aria-hidden="true">!</i>{{ fact.value }}
                <small v-if="fact.note && WIDE.includes(fact.label)">{{ fact.note }}</small>
                <span v-else-if="fact.note" class="visually-hidden">{{ fact.note }}</span>
                <span v-if="fact.caution" class="visually-hidden">, {{ fact.caution }}</span>
            </dd>
        </div>
    </dl>
    <p v-else class="muted">There are too few bars for facts.</p>
</template>

<style scoped>
.facts-box {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 1px 12px;
    margin: 0;
    font-size: 12px;
    line-height: 17px;
}
.facts-box div {
    display: flex;
    gap: 6px;
    min-width: 0;
    justify-content: space-between;
}
.facts-box .wide {
    grid-column: 1 / -1;
}
dt {
    flex: none;
    color: var(--ink-3);
}
dd {
    margin: 0;
    overflow: hidden;
    text-align: right;
    text-overflow: ellipsis;
    white-space: nowrap;
}
small {
    font-size: 11px;
    color: var(--ink-3);
}
.look dd {
    color: var(--look);
    font-weight: 600;
}
.look small {
    font-weight: 400;
}
dd i {
    margin-right: 3px;
    font-style: normal;
    font-weight: 700;
}
</style>
