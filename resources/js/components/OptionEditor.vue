<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import Select from 'primevue/select';
import { computed, ref, watch } from 'vue';
import type { OptionData, OptionShape, SetupData } from '@/types/data';
import OptionFacts from './OptionFacts.vue';

/** The same idea with a greatest loss that is known: typed terms of a position in options, reckoned at expiry. */
export interface OptionChanges {
    shape: OptionShape;
    right: 'call' | 'put';
    expiry: string;
    multiplier: string;
    strikes: string[];
    premiums: string[];
}

const props = defineProps<{ option: OptionData | null; setup: SetupData; errors: Record<string, string> }>();
const emit = defineEmits<{ change: [option: OptionChanges | null] }>();

const SHAPES: { value: OptionShape; label: string; strikes: string[] }[] = [
    { value: 'long_option', label: 'long option', strikes: ['Strike'] },
    { value: 'vertical', label: 'vertical', strikes: ['Bought', 'Sold'] },
    { value: 'butterfly', label: 'butterfly', strikes: ['Lower', 'Middle', 'Upper'] },
];
const RIGHTS = [
    { value: 'call', label: 'calls' },
    { value: 'put', label: 'puts' },
];

const open = ref(false);
const shape = ref<OptionShape>('long_option');
const right = ref<'call' | 'put'>('call');
const expiry = ref('');
const multiplier = ref('100');
const strikes = ref(['', '', '']);
const premiums = ref(['', '', '']);
const legs = computed(() => SHAPES.find(({ value }) => value === shape.value)?.strikes ?? []);

/** Strikes begin at the prices of the setup: the entry, and where it is to go. */
function begin(): void {
    const { option, setup } = props;
    shape.value = option?.shape ?? 'long_option';
    right.value = option?.right ?? (setup.side === 'long' ? 'call' : 'put');
    expiry.value = option?.expiry ?? '';
    multiplier.value = option?.multiplier ?? '100';
    const from = [setup.legs[0]?.price ?? '', setup.targets[0]?.price ?? '', setup.targets[1]?.price ?? ''];
    strikes.value = [0, 1, 2].map((i) => option?.strikes[i] ?? from[i] ?? '');
    premiums.value = [0, 1, 2].map((i) => option?.premiums[i] ?? '');
    open.value = true;
}

function keep(): void {
    const count = legs.value.length;
    emit('change', {
        shape: shape.value,
        right: right.value,
        expiry: expiry.value.trim(),
        multiplier: multiplier.value.trim(),
        strikes: strikes.value.slice(0, count).map((text) => text.trim()),
        premiums: premiums.value.slice(0, count).map((text) => text.trim()),
    });
}

function remove(): void {
    open.value = false;
    emit('change', null);
}

const error = (field: string): string | undefined => props.errors[`option.${field}`];
const faults = computed(() =>
    Object.entries(props.errors).flatMap(([field, text]) => (field.startsWith('option') ? [text] : [])),
);

// what was kept is told below; the form closes
watch(
    () => props.option,
    (now, before) => {
        if (now !== null && JSON.stringify(now) !== JSON.stringify(before)) {
            open.value = false;
        }
    },
);
</script>

<template>
    <section class="options" aria-label="In options">
        <header v-if="option !== null || open">
            <h2>In options</h2>
            <span>
                <Button v-if="!open" label="Edit" text size="small" severity="secondary" @click="begin" />
                <Button v-if="option !== null" label="Take away" text size="small" severity="secondary" @click="remove" />
            </span>
        </header>
        <Button
            v-else-if="setup.begun && setup.missing.length === 0"
            label="In options too"
            icon="pi pi-plus"
            text
            size="small"
            severity="secondary"
            title="The same idea with a greatest loss that is known"
            @click="begin"
        />
        <form v-if="open" @submit.prevent="keep">
            <div class="pair">
                <Select
                    v-model="shape"
                    :options="SHAPES"
                    option-label="label"
                    option-value="value"
                    size="small"
                    aria-label="Shape"
                />
                <Select
                    v-model="right"
                    :options="RIGHTS"
                    option-label="label"
                    option-value="value"
                    size="small"
                    aria-label="Right"
                />
            </div>
            <div v-for="(name, i) in legs" :key="name" class="leg">
                <label :for="`strike-${i}`">{{ name }}</label>
                <InputText
                    :id="`strike-${i}`"
                    v-model="strikes[i]"
                    size="small"
                    inputmode="decimal"
                    :invalid="error(`strikes.${i}`) !== undefined"
                />
                <label :for="`premium-${i}`">at</label>
                <InputText
                    :id="`premium-${i}`"
                    v-model="premiums[i]"
                    size="small"
                    inputmode="decimal"
                    placeholder="premium"
                    :aria-label="`Premium, ${name.toLowerCase()}`"
                    :invalid="error(`premiums.${i}`) !== undefined"
                />
            </div>
            <div class="leg">
                <label for="option-expiry">Expires</label>
                <InputText
                    id="option-expiry"
                    v-model="expiry"
                    size="small"
                    placeholder="2026-11-20"
                    :invalid="error('expiry') !== undefined"
                />
            </div>
            <div class="leg">
                <label for="option-multiplier">Contract</label>
                <InputText
                    id="option-multiplier"
                    v-model="multiplier"
                    size="small"
                    inputmode="numeric"
                    :invalid="error('multiplier') !== undefined"
                />
                <span class="units">units</span>
            </div>
            <p v-for="fault in faults" :key="fault" class="error" role="alert">{{ fault }}</p>
            <p class="end">
                <Button label="Cancel" text size="small" severity="secondary" @click="open = false" />
                <Button label="Keep" type="submit" size="small" />
            </p>
        </form>
        <OptionFacts v-else-if="option !== null" :option="option" :side="setup.side" :width="284" />
        <p v-else-if="faults.length > 0" class="error" role="alert">{{ faults[0] }}</p>
    </section>
</template>

<style scoped>
.options {
    margin-top: 8px;
    padding-top: 8px;
    border-top: 1px solid var(--hair);
}
header {
    display: flex;
    justify-content: space-between;
    align-items: center;
    height: 24px;
    margin-bottom: 4px;
}
form {
    display: grid;
    gap: 4px;
}
.pair {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 90px;
    gap: 4px;
}
.leg {
    display: grid;
    grid-template-columns: 60px minmax(0, 1fr) 20px 96px;
    gap: 8px;
    align-items: center;
}
.leg label {
    font-weight: 600;
}
.leg label:nth-of-type(2),
.units {
    font-weight: 400;
    color: var(--ink-2);
}
.units {
    grid-column: span 2;
}
.leg :deep(input) {
    width: 100%;
    text-align: right;
}
.end {
    display: flex;
    justify-content: flex-end;
}
.error {
    color: var(--stop);
    font-size: 13px;
    line-height: 18px;
}
</style>
