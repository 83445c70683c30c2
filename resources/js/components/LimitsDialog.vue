<script setup lang="ts">
import { router } from '@inertiajs/vue3';
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import InputNumber from 'primevue/inputnumber';
import { ref, watch } from 'vue';
import type { LimitsData } from '@/types/data';

/** The author's own limits: where a fact stands out, when a level is laid aside by itself, what is asked of a setup. */
const props = defineProps<{ limits: LimitsData }>();
const visible = defineModel<boolean>('visible', { required: true });

const values = ref<Record<string, number | null>>({ ...props.limits });
const errors = ref<Record<string, string>>({});
const keeping = ref(false);
watch(visible, (isOpen) => {
    if (isOpen) {
        values.value = { ...props.limits };
        errors.value = {};
    }
});

const groups: { title: string; fields: { name: keyof LimitsData; label: string; unit: string; digits: number }[] }[] = [
    {
        title: 'A fact stands out from',
        fields: [
            { name: 'relativeVolume', label: 'Volume', unit: 'times its average', digits: 2 },
            { name: 'stretchAtr', label: 'Distance from a fast average', unit: 'ATR', digits: 1 },
            { name: 'deviations', label: 'Distance from the mean', unit: 'standard deviations', digits: 1 },
            { name: 'streak', label: 'Closes in a row', unit: 'sessions', digits: 0 },
            { name: 'earningsSessions', label: 'Earnings within', unit: 'sessions', digits: 0 },
            { name: 'turnover', label: 'Turnover below', unit: 'money a session', digits: 0 },
        ],
    },
    {
        title: 'A level is laid aside by itself',
        fields: [
            { name: 'brokenFor', label: 'Broken for', unit: 'sessions', digits: 0 },
            { name: 'farAt', label: 'Away by', unit: 'ATR', digits: 1 },
            { name: 'farFor', label: 'and that for', unit: 'sessions', digits: 0 },
        ],
    },
    {
        title: 'A setup',
        fields: [
            { name: 'accountValue', label: 'Model account', unit: 'QUD', digits: 0 },
            { name: 'riskPercent', label: 'Risk at the stop', unit: '% of it', digits: 2 },
            { name: 'leastReward', label: 'All targets bring', unit: 'R at least', digits: 2 },
            { name: 'noiseAtr', label: 'Stop in the noise below', unit: 'ATR', digits: 2 },
            { name: 'volumeShare', label: 'Size is large above', unit: '% of usual volume', digits: 2 },
        ],
    },
    {
        title: 'A plan',
        fields: [
            { name: 'sideShare', label: 'Much on one side above', unit: '% of its candidates', digits: 0 },
            { name: 'groupMost', label: 'Of one group at most', unit: 'candidates', digits: 0 },
        ],
    },
];

function keep(): void {
    keeping.value = true;
    router.patch('/settings/limits', values.value, {
        preserveScroll: true,
        preserveState: true,
        onSuccess: () => (visible.value = false),
        onError: (given) => (errors.value = given),
        onFinish: () => (keeping.value = false),
    });
}
</script>

<template>
    <Dialog v-model:visible="visible" header="Your limits" modal dismissable-mask :style="{ width: '460px' }">
        <form @submit.prevent="keep">
            <fieldset v-for="group in groups" :key="group.title">
                <legend>{{ group.title }}</legend>
                <div v-for="field in group.fields" :key="field.name" class="field">
                    <label :for="`limit-${field.name}`">{{ field.label }}</label>
                    <InputNumber
                        v-model="values[field.name]"
                        :input-id="`limit-${field.name}`"
                        size="small"
                        :max-fraction-digits="field.digits"
                        :invalid="errors[field.name] !== undefined"
                        input-class="limit"
                    />
                    <span class="muted">{{ field.unit }}</span>
                    <p v-if="errors[field.name]" class="error" role="alert">{{ errors[field.name] }}</p>
                </div>
            </fieldset>
            <p class="end">
                <span class="muted">Kept for you, on every instrument.</span>
                <Button type="submit" label="Keep" size="small" :loading="keeping" />
            </p>
        </form>
    </Dialog>
</template>

<style scoped>
fieldset {
    margin: 0 0 12px;
    padding: 0;
    border: 0;
}
legend {
    padding: 0;
    font-weight: 600;
}
.field {
    display: grid;
    grid-template-columns: 184px 112px 1fr;
    gap: 8px;
    align-items: center;
    padding: 2px 0;
}
.field :deep(.limit) {
    width: 112px;
    text-align: right;
}
.error {
    grid-column: 2 / -1;
    color: var(--stop);
    font-size: 13px;
}
.end {
    display: flex;
    align-items: center;
    justify-content: space-between;
}
</style>
