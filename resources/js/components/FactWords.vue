<script setup lang="ts">
import { computed } from 'vue';
import type { CandidateFactData } from '@/types/data';

/** The few facts of an instrument that decide, in words; first what is beyond the author's limits. */
const props = defineProps<{ facts: CandidateFactData[] }>();

/** Told apart from the box of facts, a value needs its name beside it, but a short one. */
const SHORT: Record<string, (value: string) => string> = {
    'Usual range': (value) => `range ${value}`,
    Volume: (value) => `volume ${value}`,
    Turnover: (value) => value,
    'ATR from averages': () => 'stretched from averages',
    Deviations: (value) => `${value} from SMA 20`,
    Streak: (value) => `${value} in a row`,
    Compression: (value) => (value.startsWith('released') ? value : `at rest for ${value}`),
    Earnings: (value) => `earnings ${value}`,
};
const CAUTION: Record<string, (value: string) => string> = {
    Volume: (value) => `heavy volume ${value}`,
    Turnover: (value) => `thin, ${value}`,
};

const words = (fact: CandidateFactData): string => (SHORT[fact.label] ?? ((value) => `${fact.label} ${value}`))(fact.value);
const usual = computed(() => props.facts.filter((fact) => fact.caution === '').map(words));
const cautions = computed(() =>
    props.facts
        .filter((fact) => fact.caution !== '')
        .map((fact) => ({ words: CAUTION[fact.label]?.(fact.value) ?? words(fact), why: fact.caution })),
);
</script>

<template>
    <span class="facts">
        <span v-if="cautions.length > 0" class="beyond">
            <span v-for="(fact, i) in cautions" :key="fact.words" :title="fact.why"
                >{{ i === 0 ? '! ' : ', ' }}{{ fact.words }}</span
            >
        </span>
        <span class="usual">{{ usual.join(', ') }}</span>
    </span>
</template>

<style scoped>
.facts > span {
    display: block;
    font-size: 13px;
    line-height: 16px;
}
.beyond {
    font-weight: 600;
    color: var(--look);
}
.usual {
    color: var(--ink-3);
}
</style>
