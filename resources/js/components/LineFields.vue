<script setup lang="ts">
import InputText from 'primevue/inputtext';
import Select from 'primevue/select';
import type { Field } from '@/lib/setup';

/** The fields of one line of a setup, filled in place: each is kept when it is left or on Enter. */
defineProps<{ fields: Field[]; values: Record<string, string | null>; error?: string | undefined }>();
const emit = defineEmits<{ keep: [name: string, value: string] }>();

function keepText(name: string, before: string | null | undefined, event: Event): void {
    const typed = (event.target as HTMLInputElement).value.trim();
    if (typed !== (before ?? '')) {
        emit('keep', name, typed);
    }
}
</script>

<template>
    <div class="fields">
        <label v-for="field in fields" :key="field.name" :class="{ wide: field.wide }">
            <span>{{ field.label }}</span>
            <Select
                v-if="field.choices"
                :model-value="values[field.name]"
                :options="field.choices"
                option-label="label"
                option-value="value"
                size="small"
                :aria-label="field.label"
                @update:model-value="emit('keep', field.name, $event)"
            />
            <InputText
                v-else
                :model-value="values[field.name] ?? ''"
                size="small"
                autocomplete="off"
                :aria-label="[field.label, field.unit].filter(Boolean).join(' ')"
                :invalid="error !== undefined"
                @blur="keepText(field.name, values[field.name], $event)"
                @keydown.enter.prevent="keepText(field.name, values[field.name], $event)"
            />
            <span v-if="field.unit" class="unit">{{ field.unit }}</span>
        </label>
        <p v-if="error" class="error" role="alert">{{ error }}</p>
    </div>
</template>

<style scoped>
.fields {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 8px;
    padding: 4px 0 6px;
}
label {
    display: inline-flex;
    align-items: center;
    gap: 6px;
    font-size: 13px;
    color: var(--ink-2);
}
label :deep(input) {
    width: 64px;
    height: 28px;
    text-align: right;
}
label.wide :deep(input) {
    width: 172px;
    text-align: left;
}
label :deep(.p-select) {
    height: 28px;
    align-items: center;
}
label :deep(.p-select-label) {
    padding: 0 0 0 8px;
    font-size: 13px;
}
label :deep(.p-select-dropdown) {
    width: 24px;
}
.error {
    flex-basis: 100%;
    color: var(--stop);
    font-size: 13px;
    line-height: 18px;
}
</style>
