<script setup lang="ts">
import InputText from 'primevue/inputtext';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { nudge, type Grid } from '@/lib/price';

/** A price to be typed, or nudged by a tick with the arrow keys (ten with Shift). It is kept on Enter or when left. */
const props = defineProps<{
    label: string;
    price: string | null;
    grid: Grid;
    error?: string | undefined;
    hint?: string | undefined;
    tone?: string;
}>();
const emit = defineEmits<{ keep: [price: string | null] }>();

const text = ref(props.price ?? '');
const id = computed(() => `price-${props.label.toLowerCase().replaceAll(/\W+/g, '-')}`);

watch(
    () => [props.price, props.error],
    () => {
        if (props.error === undefined) {
            text.value = props.price ?? '';
        }
    },
);

// Nudged by key, a price is kept when the keys rest: a run of presses is one change.
const NUDGE_RESTS = 350;
let nudging: number | undefined;

function keep(): void {
    window.clearTimeout(nudging);
    const typed = text.value.trim();
    if (typed !== (props.price ?? '') || props.error !== undefined) {
        emit('keep', typed === '' ? null : typed);
    }
}

function step(event: KeyboardEvent, direction: 1 | -1): void {
    if (Number.isFinite(Number(text.value)) && text.value !== '') {
        event.preventDefault();
        text.value = nudge(text.value, direction * (event.shiftKey ? 10 : 1), props.grid);
        window.clearTimeout(nudging);
        nudging = window.setTimeout(keep, NUDGE_RESTS);
    }
}

onBeforeUnmount(() => {
    if (nudging !== undefined) {
        keep();
    }
});

function giveUp(event: KeyboardEvent): void {
    text.value = props.price ?? '';
    (event.target as HTMLInputElement).blur();
}
</script>

<template>
    <div class="field">
        <label :for="id" :class="tone">{{ label }}</label>
        <InputText
            :id="id"
            v-model="text"
            size="small"
            inputmode="decimal"
            autocomplete="off"
            :invalid="error !== undefined"
            :aria-describedby="error ? `${id}-error` : undefined"
            @blur="keep"
            @keydown.enter.prevent="keep"
            @keydown.up="step($event, 1)"
            @keydown.down="step($event, -1)"
            @keydown.esc="giveUp"
        />
        <span class="hint">{{ hint }}</span>
        <p v-if="error" :id="`${id}-error`" class="error" role="alert">{{ error }} Kept: {{ price ?? 'none' }}.</p>
    </div>
</template>

<style scoped>
.field {
    display: grid;
    grid-template-columns: 60px 86px minmax(0, 1fr);
    align-items: center;
    column-gap: 8px;
}
label {
    font-weight: 600;
}
.field :deep(input) {
    width: 86px;
    text-align: right;
}
.hint {
    color: var(--ink-2);
    font-size: 13px;
    white-space: nowrap;
}
.error {
    grid-column: 1 / -1;
    color: var(--stop);
    font-size: 13px;
    line-height: 18px;
    padding-top: 2px;
}
</style>
