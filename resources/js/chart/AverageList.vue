<script setup lang="ts">
import Button from 'primevue/button';
import InputNumber from 'primevue/inputnumber';
import Select from 'primevue/select';
import type { AverageKind, AverageSettingData } from '@/types/data';

/** A list of moving averages that can be added to, changed and shortened. */
const averages = defineModel<AverageSettingData[]>({ required: true });
const props = defineProps<{ most: number; least?: number }>();
const emit = defineEmits<{ change: [] }>();

const kinds: { label: string; value: AverageKind }[] = [
    { label: 'SMA', value: 'sma' },
    { label: 'EMA', value: 'ema' },
];

function put(index: number, change: Partial<AverageSettingData>): void {
    averages.value = averages.value.map((one, i) => (i === index ? { ...one, ...change } : one));
    emit('change');
}

function add(): void {
    averages.value = [...averages.value, { kind: 'sma', period: 100 }];
    emit('change');
}

function remove(index: number): void {
    averages.value = averages.value.filter((_, i) => i !== index);
    emit('change');
}
</script>

<template>
    <div class="averages">
        <span v-for="(average, i) in averages" :key="i" class="average">
            <Select
                :model-value="average.kind"
                :options="kinds"
                option-label="label"
                option-value="value"
                size="small"
                :aria-label="`Average ${i + 1}, kind`"
                @update:model-value="put(i, { kind: $event as AverageKind })"
            />
            <InputNumber
                :model-value="average.period"
                :min="2"
                :max="400"
                size="small"
                input-class="bars-count"
                :aria-label="`Average ${i + 1}, period`"
                @update:model-value="$event !== null && put(i, { period: $event as number })"
            />
            <Button
                v-if="averages.length > (props.least ?? 0)"
                icon="pi pi-times"
                text
                size="small"
                severity="secondary"
                :aria-label="`Hide average ${i + 1}`"
                @click="remove(i)"
            />
        </span>
        <Button
            v-if="averages.length < props.most"
            label="Add"
            icon="pi pi-plus"
            text
            size="small"
            severity="secondary"
            @click="add"
        />
    </div>
</template>

<style scoped>
.averages {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 10px;
    align-items: center;
}
.average {
    display: inline-flex;
    align-items: center;
}
.averages :deep(.bars-count) {
    width: 50px;
    text-align: right;
}
</style>
