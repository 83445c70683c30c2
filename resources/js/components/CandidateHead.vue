<script setup lang="ts">
import Button from 'primevue/button';
import { ref } from 'vue';
import type { CandidateData, CandidateFactData, LimitsData } from '@/types/data';
import FactsBox from './FactsBox.vue';
import LimitsDialog from './LimitsDialog.vue';

/** What the candidate is, where it stands, and the facts that decide. */
defineProps<{ candidate: CandidateData; atr: string | null; facts: CandidateFactData[]; limits: LimitsData }>();

const limitsOpen = ref(false);
</script>

<template>
    <div class="head">
        <p class="what">
            <span>{{ candidate.instrument.kind }}, {{ candidate.instrument.group }}</span>
            <span>
                Last <strong>{{ candidate.lastClose }}</strong> {{ candidate.instrument.currency }}
            </span>
            <span v-if="atr !== null">ATR {{ atr }}</span>
            <span v-for="label in candidate.instrument.labels" :key="label" class="look">{{ label }}</span>
            <span v-if="!candidate.instrument.traded" class="look">watched, not traded: no setup</span>
            <Button
                icon="pi pi-cog"
                text
                size="small"
                severity="secondary"
                class="limits"
                aria-label="Your limits"
                title="Where a fact stands out, and when a level is laid aside"
                @click="limitsOpen = true"
            />
        </p>
        <FactsBox :facts="facts" />
        <LimitsDialog v-model:visible="limitsOpen" :limits="limits" />
    </div>
</template>

<style scoped>
.head {
    margin-bottom: 8px;
    padding-bottom: 8px;
    border-bottom: 1px solid var(--hair);
    color: var(--ink-2);
}
.what {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 12px;
    margin-bottom: 4px;
    font-size: 13px;
}
.what span {
    white-space: nowrap;
}
.limits {
    width: 24px;
    height: 20px;
    margin-left: auto;
    padding: 0;
}
</style>
