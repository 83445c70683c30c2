<script setup lang="ts">
import type { OptionData } from '@/types/data';
import PayoffPicture from './PayoffPicture.vue';

/** An idea in options as it reads: its sentence, what it gains at expiry, and where. */
defineProps<{ option: OptionData; side: 'long' | 'short'; width: number }>();
</script>

<template>
    <div class="option">
        <p class="says">{{ option.sentence }}</p>
        <p v-for="warning in option.warnings" :key="warning" class="warning">
            <i class="pi pi-exclamation-triangle" aria-hidden="true" /> {{ warning }}
        </p>
        <PayoffPicture :points="option.points" :side="side" :width="width" />
        <dl aria-label="Figures of the option">
            <template v-for="figure in option.figures" :key="figure.label">
                <dt>{{ figure.label }}</dt>
                <dd>
                    <b>{{ figure.value }}</b> <span>{{ figure.note }}</span>
                </dd>
            </template>
        </dl>
    </div>
</template>

<style scoped>
.says {
    font: 400 15px/21px var(--serif);
}
.warning {
    color: var(--look);
    font-size: 13px;
}
dl {
    display: grid;
    grid-template-columns: 92px minmax(0, 1fr);
    gap: 2px 8px;
    margin: 4px 0 0;
    font-size: 13px;
    line-height: 18px;
}
dt,
span {
    color: var(--ink-2);
}
dd {
    margin: 0;
}
b {
    font-weight: 600;
    white-space: nowrap;
}
</style>
