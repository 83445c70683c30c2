<script setup lang="ts">
import { Link } from '@inertiajs/vue3';
import type { DayLineStepData } from '@/types/data';

defineProps<{ steps: DayLineStepData[]; here: string }>();
</script>

<template>
    <nav class="day-line" aria-label="The evening's work">
        <Link
            v-for="step in steps"
            :key="step.key"
            :href="step.href"
            class="step"
            :class="{ here: step.key === here, done: step.done }"
            :aria-current="step.key === here ? 'step' : undefined"
        >
            <span class="buoy" aria-hidden="true"
                ><svg v-if="step.done" viewBox="0 0 10 10"><path d="M2 5.2 4.2 7.4 8.2 2.8" /></svg
            ></span>
            <span class="label">{{ step.label }}</span>
            <span class="note">{{ step.note }}<span v-if="step.done" class="visually-hidden">, done</span></span>
        </Link>
    </nav>
</template>

<style scoped>
.day-line {
    display: flex;
    align-self: stretch;
    min-width: 0;
}
.step {
    position: relative;
    flex: 0 1 164px;
    display: grid;
    grid-template-columns: 14px minmax(0, 1fr);
    grid-template-rows: 20px 16px;
    align-content: center;
    column-gap: 8px;
    padding-right: 12px;
    text-decoration: none;
    color: var(--ink-2);
}
/* the line itself: from this buoy to the next */
.step:not(:last-child, .here)::after {
    content: '';
    position: absolute;
    left: 5px;
    right: -5px;
    bottom: 0;
    border-bottom: 1px dotted var(--hair-2);
}
.step.here::before {
    content: '';
    position: absolute;
    left: 0;
    right: 16px;
    bottom: -1px;
    border-bottom: 3px solid var(--ink);
}
.buoy {
    width: 12px;
    height: 12px;
    margin-top: 4px;
    border: 1.5px solid var(--hair-2);
    border-radius: 50%;
    background: var(--sheet);
}
.buoy svg {
    display: block;
    fill: none;
    stroke: var(--sheet);
    stroke-width: 1.8;
}
.done .buoy {
    background: var(--ink-2);
    border-color: var(--ink-2);
}
.here .buoy {
    border-color: var(--ink);
}
.here .label {
    color: var(--ink);
    font-weight: 650;
}
.label,
.note {
    grid-column: 2;
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
}
.label {
    grid-row: 1;
}
.note {
    font-size: 12px;
    line-height: 16px;
    color: var(--ink-3);
}
@media (max-width: 760px) {
    .note,
    .step:not(.here) .label {
        display: none;
    }
    .step {
        flex: 0 0 auto;
        grid-template-rows: 20px;
    }
}
</style>
