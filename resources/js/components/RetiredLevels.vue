<script setup lang="ts">
import Button from 'primevue/button';
import type { RetiredLevelData } from '@/types/data';

/** Levels that are laid aside, each with the reason; they can be taken back. */
defineProps<{ levels: RetiredLevelData[] }>();
const emit = defineEmits<{ restore: [id: number] }>();
</script>

<template>
    <details v-if="levels.length > 0" class="retired">
        <summary>{{ levels.length }} laid aside</summary>
        <ul>
            <li v-for="level in levels" :key="level.id">
                <span>
                    <strong>{{ level.words }}</strong> {{ level.origin }}
                    <small>{{ level.retiredOn }}: {{ level.because }}</small>
                </span>
                <Button
                    label="Restore"
                    size="small"
                    text
                    severity="secondary"
                    :aria-label="`Restore ${level.words}`"
                    @click="emit('restore', level.id)"
                />
            </li>
        </ul>
    </details>
</template>

<style scoped>
.retired {
    margin-top: 12px;
    padding-top: 8px;
    border-top: 1px solid var(--hair);
    font-size: 13px;
}
summary {
    color: var(--ink-2);
    cursor: pointer;
}
ul {
    margin: 4px 0 0;
    padding: 0;
    list-style: none;
}
li {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 8px;
    padding: 2px 0;
    border-bottom: 1px solid var(--hair);
}
small {
    display: block;
    color: var(--ink-3);
}
</style>
