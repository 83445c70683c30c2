<script setup lang="ts">
import type { ImportData } from '@/types/data';

/** Where an import stands, in one line. */
defineProps<{ one: ImportData }>();

const number = (value: number): string => value.toLocaleString('en-GB');
</script>

<template>
    <span class="state" :class="one.state">
        <template v-if="one.state === 'done'">
            done: {{ number(one.added) }} added, {{ number(one.unchanged) }} known<template v-if="one.corrected > 0"
                >, {{ number(one.corrected) }} corrected</template
            ><template v-if="one.heldBack > 0">, {{ number(one.heldBack) }} held back</template>
        </template>
        <template v-else-if="one.state === 'refused'">refused: {{ one.message }}</template>
        <template v-else-if="one.state === 'preview'">not imported yet</template>
        <template v-else-if="one.underWay">{{ one.state }}, {{ number(one.done) }} of {{ number(one.total) }} lines</template>
        <template v-else>{{ one.state }}</template>
    </span>
</template>

<style scoped>
.state {
    color: var(--ink-2);
}
.refused,
.failed {
    color: var(--stop);
}
</style>
