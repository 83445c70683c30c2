<script setup lang="ts">
import Button from 'primevue/button';
import Checkbox from 'primevue/checkbox';
import InputNumber from 'primevue/inputnumber';
import Select from 'primevue/select';
import SelectButton from 'primevue/selectbutton';
import { computed } from 'vue';
import { signed, type Grid } from '@/lib/price';
import type { SetupData, TargetData } from '@/types/data';
import PriceField from './PriceField.vue';

/** The setup of a candidate, field by field. Everything is kept as soon as it is changed. */
const props = defineProps<{ setup: SetupData; grid: Grid; errors: Record<string, string> }>();
const emit = defineEmits<{ change: [changes: Record<string, unknown>]; clear: [] }>();

const sides = [
    { label: 'Long', value: 'long' },
    { label: 'Short', value: 'short' },
];
const triggers = computed(() => [
    { label: `touch: ${props.setup.side === 'long' ? 'falls' : 'rises'} to it`, value: 'touch' },
    { label: `break: ${props.setup.side === 'long' ? 'rises' : 'falls'} through it`, value: 'break' },
]);
const shares = [
    { label: 'all', value: '1' },
    { label: '3/4', value: '0.75' },
    { label: 'half', value: '0.5' },
    { label: '1/4', value: '0.25' },
];

const targets = computed<(TargetData | null)[]>(() => [
    ...props.setup.targets,
    ...(props.setup.targets.length < 2 ? [null] : []),
]);

function setTarget(index: number, change: { price?: string | null; share?: string }): void {
    const next = props.setup.targets.map(({ price, share }) => ({ price: price as string | null, share }));
    const old = next[index];
    if (old === undefined) {
        // a second target takes half, and leaves half to the first
        const first = next[0];
        if (first?.share === '1') {
            first.share = '0.5';
        }
        next.push({ price: change.price ?? null, share: first === undefined ? '1' : '0.5' });
    } else {
        next[index] = { ...old, ...change };
    }
    const left = next.filter((target) => target.price !== null);
    if (left.length === 1 && left[0] !== undefined && next.length === 2) {
        left[0].share = '1';
    }
    emit('change', { targets: left });
}

function options(share: string): { label: string; value: string }[] {
    return shares.some((one) => one.value === share)
        ? shares
        : [...shares, { label: `${Math.round(Number(share) * 100)} %`, value: share }];
}
</script>

<template>
    <section class="setup" aria-label="Setup">
        <header>
            <h2>Setup</h2>
            <Button v-if="setup.begun" label="Clear" text size="small" severity="secondary" @click="emit('clear')" />
        </header>
        <div class="line">
            <SelectButton
                :model-value="setup.side"
                :options="sides"
                option-label="label"
                option-value="value"
                :allow-empty="false"
                size="small"
                aria-label="Side"
                :class="setup.side"
                @update:model-value="emit('change', { side: $event })"
            />
            <Select
                :model-value="setup.trigger"
                :options="triggers"
                option-label="label"
                option-value="value"
                size="small"
                class="trigger"
                aria-label="Trigger"
                @update:model-value="emit('change', { trigger: $event })"
            />
        </div>
        <PriceField
            label="Entry"
            :tone="setup.side"
            :price="setup.entry"
            :grid="grid"
            :error="errors['entry.price']"
            :hint="setup.risk ? `1 R = ${setup.risk}` : undefined"
            @keep="emit('change', { entry: $event })"
        />
        <PriceField
            v-if="setup.trigger === 'touch'"
            label="Within"
            :price="Number(setup.within) === 0 ? null : setup.within"
            :grid="grid"
            :error="errors['entry.within']"
            hint="still counts"
            @keep="emit('change', { within: $event })"
        />
        <label v-else class="check">
            <Checkbox :model-value="setup.noChase" binary @update:model-value="emit('change', { no_chase: $event })" />
            Not on an open beyond it
        </label>
        <PriceField
            label="Stop"
            tone="stop"
            :price="setup.stop"
            :grid="grid"
            :error="errors['stop.price']"
            :hint="setup.riskPercent ? `${setup.riskPercent} % away` : undefined"
            @keep="emit('change', { stop: $event })"
        />
        <template v-for="(target, i) in targets" :key="i">
            <div class="target">
                <PriceField
                    :label="`Target ${i + 1}`"
                    :tone="setup.side"
                    :price="target?.price ?? null"
                    :grid="grid"
                    :error="errors[`targets.${i}.price`]"
                    @keep="setTarget(i, { price: $event })"
                />
                <template v-if="target">
                    <Select
                        :model-value="target.share"
                        :options="options(target.share)"
                        option-label="label"
                        option-value="value"
                        size="small"
                        class="share"
                        :aria-label="`Share taken at target ${i + 1}`"
                        @update:model-value="setTarget(i, { share: $event })"
                    />
                    <span class="r">{{ target.r === null ? '' : `${signed(target.r)} R` }}</span>
                </template>
            </div>
            <p v-if="errors[`targets.${i}.share`]" class="error" role="alert">{{ errors[`targets.${i}.share`] }}</p>
        </template>
        <PriceField
            label="Cancel"
            tone="stop"
            :price="setup.cancel"
            :grid="grid"
            :error="errors['cancel.price']"
            hint="ends the wait"
            @keep="emit('change', { cancel: $event })"
        />
        <div class="good">
            <label for="good-for">Good for</label>
            <InputNumber
                :model-value="setup.goodFor"
                input-id="good-for"
                :min="1"
                :max="120"
                size="small"
                :input-style="{ width: '56px', textAlign: 'right' }"
                @update:model-value="$event !== null && emit('change', { good_for: $event })"
            />
            <span class="until">{{ setup.goodFor === 1 ? 'session' : 'sessions' }}, to {{ setup.goodUntil }}</span>
        </div>
        <p v-if="errors.good_for" class="error" role="alert">{{ errors.good_for }}</p>
        <p v-for="warning in setup.warnings" :key="warning" class="warning">
            <i class="pi pi-exclamation-triangle" aria-hidden="true" /> {{ warning }}
        </p>
    </section>
</template>

<style scoped>
.setup {
    display: flex;
    flex-direction: column;
    gap: 8px;
}
header {
    display: flex;
    justify-content: space-between;
    align-items: center;
    height: 24px;
}
.line {
    display: flex;
    gap: 8px;
}
.trigger {
    flex: 1;
    min-width: 0;
    align-items: center;
}
.trigger :deep(.p-select-label) {
    font-size: 13px;
    padding-right: 0;
}
.line :deep(.p-togglebutton-checked) {
    font-weight: 650;
}
.line .long :deep(.p-togglebutton-checked .p-togglebutton-label) {
    color: var(--long);
}
.line .short :deep(.p-togglebutton-checked .p-togglebutton-label) {
    color: var(--short);
}
.check {
    display: flex;
    align-items: center;
    gap: 8px;
    padding-left: 68px;
}
.target {
    display: grid;
    grid-template-columns: 154px 68px minmax(0, 1fr);
    align-items: center;
    column-gap: 4px;
}
.target :deep(.field) {
    grid-template-columns: 60px 86px 0;
}
.target :deep(.error) {
    width: 280px;
}
.share {
    width: 68px;
    height: 28px;
    align-items: center;
}
.share :deep(.p-select-label) {
    padding: 0 0 0 8px;
    font-size: 13px;
}
.share :deep(.p-select-dropdown) {
    width: 24px;
}
.r {
    font-weight: 600;
    line-height: 28px;
    text-align: right;
    white-space: nowrap;
}
.good {
    display: grid;
    grid-template-columns: 60px 86px minmax(0, 1fr);
    align-items: center;
    column-gap: 8px;
}
.good label {
    font-weight: 600;
}
.until {
    font-size: 13px;
    color: var(--ink-2);
    white-space: nowrap;
}
.error {
    color: var(--stop);
    font-size: 13px;
    line-height: 18px;
}
.warning {
    color: var(--look);
    font-size: 13px;
    line-height: 18px;
}
</style>
