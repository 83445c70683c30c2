<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';

/** The foot of the ladder, where the price of a new level is typed. */
defineProps<{ error: string | null }>();
const price = defineModel<string>({ required: true });
const emit = defineEmits<{ mark: [price: string] }>();
</script>

<template>
    <form class="new" @submit.prevent="price.trim() !== '' && emit('mark', price.trim())">
        <label for="new-level">Level at</label>
        <InputText
            id="new-level"
            v-model="price"
            size="small"
            inputmode="decimal"
            autocomplete="off"
            :invalid="error !== null"
            placeholder="price"
            @keydown.esc="price = ''"
        />
        <Button type="submit" label="Mark" size="small" severity="secondary" outlined />
        <span class="muted">or click in the chart</span>
        <p v-if="error" class="error" role="alert">{{ error }}</p>
    </form>
</template>

<style scoped>
.new {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: flex-end;
    gap: 8px;
    white-space: nowrap;
}
label {
    font-weight: 600;
}
.new :deep(input) {
    width: 92px;
    text-align: right;
}
.muted {
    font-size: 13px;
}
.error {
    color: var(--stop);
    font-size: 13px;
    line-height: 16px;
    white-space: normal;
}
</style>
