<script setup lang="ts">
import Button from 'primevue/button';

defineProps<{ undo: string | null; redo: string | null }>();
const emit = defineEmits<{ travel: [way: 'undo' | 'redo'] }>();
</script>

<template>
    <span class="undo">
        <Button
            icon="pi pi-undo"
            text
            size="small"
            severity="secondary"
            :disabled="undo === null"
            :aria-label="undo ? `Undo ${undo}` : 'Nothing to undo'"
            :title="undo ? `Undo ${undo} (Ctrl+Z)` : 'Nothing to undo'"
            @click="emit('travel', 'undo')"
        />
        <Button
            icon="pi pi-undo"
            class="redo"
            text
            size="small"
            severity="secondary"
            :disabled="redo === null"
            :aria-label="redo ? `Redo ${redo}` : 'Nothing to redo'"
            :title="redo ? `Redo ${redo} (Ctrl+Y)` : 'Nothing to redo'"
            @click="emit('travel', 'redo')"
        />
    </span>
</template>

<style scoped>
.undo {
    display: inline-flex;
}
.redo :deep(.p-button-icon) {
    transform: scaleX(-1);
}
</style>
