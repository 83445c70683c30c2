<script setup lang="ts">
import Button from 'primevue/button';
import Checkbox from 'primevue/checkbox';
import DatePicker from 'primevue/datepicker';
import Dialog from 'primevue/dialog';
import InputNumber from 'primevue/inputnumber';
import InputText from 'primevue/inputtext';
import SelectButton from 'primevue/selectbutton';
import { computed, ref, watch } from 'vue';
import type { LevelChanges } from '@/lib/bench';
import { dayOf, iso } from '@/lib/date';
import type { LevelForm } from '@/types/data';

/** A level of any form, typed: for what is quicker by hand, and for those who work without a pointer. */
const props = defineProps<{ error: string | null; lastSession: string }>();
const visible = defineModel<boolean>('visible', { required: true });
const emit = defineEmits<{ mark: [level: LevelChanges]; pick: [form: 'line' | 'swing'] }>();

const forms: { value: LevelForm; label: string }[] = [
    { value: 'zone', label: 'Zone' },
    { value: 'line', label: 'Line' },
    { value: 'average', label: 'Average' },
    { value: 'swing', label: 'Ratios' },
];
const averages = [
    { value: 'sma', label: 'SMA' },
    { value: 'ema', label: 'EMA' },
    { value: 'vwap', label: 'VWAP' },
];
const form = ref<LevelForm>('zone');
const low = ref('');
const high = ref('');
const from = ref({ session: '', price: '' });
const to = ref({ session: '', price: '' });
const through = ref({ session: '', price: '' });
const logarithmic = ref(false);
const average = ref('sma');
const period = ref<number | null>(50);
const since = ref('');

watch(visible, (isOpen) => {
    if (isOpen) {
        low.value = high.value = '';
        from.value = { session: '', price: '' };
        to.value = { session: props.lastSession, price: '' };
        through.value = { session: '', price: '' };
        since.value = '';
    }
});

const level = computed<LevelChanges>(() => {
    switch (form.value) {
        case 'zone':
            return { form: 'zone', low: low.value.trim(), high: high.value.trim() };
        case 'average':
            return average.value === 'vwap'
                ? { form: 'average', average: 'vwap', since: since.value }
                : { form: 'average', average: average.value, period: period.value ?? 0 };
        default:
            return {
                form: form.value,
                from: from.value,
                to: to.value,
                ...(form.value === 'line' && { logarithmic: logarithmic.value }),
                ...(form.value === 'line' && through.value.session !== '' && { parallel: through.value }),
            };
    }
});
</script>

<template>
    <Dialog v-model:visible="visible" header="New level" modal dismissable-mask :style="{ width: '420px' }">
        <form class="new-level" @submit.prevent="emit('mark', level)">
            <SelectButton
                v-model="form"
                :options="forms"
                option-label="label"
                option-value="value"
                :allow-empty="false"
                size="small"
                aria-label="Form of the level"
            />
            <div v-if="form === 'zone'" class="field">
                <label for="zone-low">Edges</label>
                <InputText
                    id="zone-low"
                    v-model="low"
                    size="small"
                    inputmode="decimal"
                    placeholder="lower"
                    aria-label="Lower edge"
                />
                <InputText v-model="high" size="small" inputmode="decimal" placeholder="upper" aria-label="Upper edge" />
            </div>
            <template v-else-if="form === 'average'">
                <div class="field">
                    <SelectButton
                        v-model="average"
                        :options="averages"
                        option-label="label"
                        option-value="value"
                        :allow-empty="false"
                        size="small"
                        aria-label="Kind of average"
                    />
                    <InputNumber
                        v-if="average !== 'vwap'"
                        v-model="period"
                        :min="2"
                        :max="400"
                        size="small"
                        input-class="period"
                        aria-label="Sessions"
                        suffix=" sessions"
                    />
                    <label v-else
                        >since
                        <DatePicker
                            :model-value="dayOf(since)"
                            :max-date="dayOf(lastSession) ?? undefined"
                            date-format="d M yy"
                            size="small"
                            input-class="day"
                            @update:model-value="since = iso($event) ?? ''"
                    /></label>
                </div>
            </template>
            <template v-else>
                <div
                    v-for="[name, point] in [['From', from], ['To', to], ...(form === 'line' ? [['Channel', through]] : [])] as [
                        string,
                        { session: string; price: string },
                    ][]"
                    :key="name"
                    class="field"
                >
                    <span class="name">{{ name }}</span>
                    <DatePicker
                        :model-value="dayOf(point.session)"
                        :max-date="dayOf(lastSession) ?? undefined"
                        date-format="d M yy"
                        size="small"
                        input-class="day"
                        :aria-label="`${name}: session`"
                        @update:model-value="point.session = iso($event) ?? ''"
                    />
                    <InputText
                        v-model="point.price"
                        size="small"
                        inputmode="decimal"
                        placeholder="price"
                        :aria-label="`${name}: price`"
                    />
                </div>
                <label v-if="form === 'line'" class="field"
                    ><Checkbox v-model="logarithmic" binary /> straight on a logarithmic scale</label
                >
                <p class="muted">
                    Or pick the two points on the chart:
                    <Button
                        :label="form === 'line' ? 'Pick' : 'Pick'"
                        size="small"
                        text
                        severity="secondary"
                        @click="emit('pick', form === 'line' ? 'line' : 'swing')"
                    />
                </p>
            </template>
            <p v-if="error" class="error" role="alert">{{ error }}</p>
            <Button type="submit" label="Mark" size="small" />
        </form>
    </Dialog>
</template>

<style scoped>
.new-level {
    display: grid;
    gap: 12px;
    justify-items: start;
}
.field {
    display: flex;
    align-items: center;
    gap: 8px;
}
.name,
.field label:first-child {
    width: 56px;
    font-weight: 600;
}
.field :deep(.p-inputtext) {
    width: 104px;
    text-align: right;
}
.field :deep(.day) {
    width: 120px;
    text-align: left;
}
.error {
    color: var(--stop);
    font-size: 13px;
}
</style>
