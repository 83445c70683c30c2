<script setup lang="ts">
import Button from 'primevue/button';
import Checkbox from 'primevue/checkbox';
import InputText from 'primevue/inputtext';
import Select from 'primevue/select';
import { computed } from 'vue';
import type { Grid } from '@/lib/price';
import { CLOSES, LEG_FIELDS, hasPrice, triggerLabel, type Field } from '@/lib/setup';
import type { LegData, TriggerKind } from '@/types/data';
import LineFields from './LineFields.vue';
import PriceField from './PriceField.vue';

/** One part of the entry: what it waits for, and what its kind must be told. */
const props = defineProps<{
    leg: LegData;
    number: number;
    of: number;
    side: 'long' | 'short';
    kinds: TriggerKind[];
    earlier: string[];
    grid: Grid;
    errors: Record<string, string>;
    hint?: string | undefined;
}>();
const emit = defineEmits<{ change: [leg: Partial<LegData>]; share: [share: string]; remove: [] }>();

const field = computed(() => (props.number === 0 ? 'entry' : `legs.${props.number}`));
const error = (name: string): string | undefined => props.errors[`${field.value}.${name}`];
const choices = computed(() => props.kinds.map((kind) => ({ value: kind, label: triggerLabel(kind, props.side) })));
const has = (name: keyof LegData): boolean => LEG_FIELDS[props.leg.kind].includes(name);
const name = computed(() => (props.of === 1 ? 'Entry' : `Entry ${props.number + 1}`));
/** A list does not show an empty value as chosen. */
const NOW = '\u0000';
const needs = computed(() => [
    { value: NOW, label: 'at once' },
    ...props.earlier.map((one) => ({ value: one, label: `once ${one} is in` })),
]);

const COUNTS = { times: 'closes in a row', bars: 'bars to come back' } as const;
const lines = computed<Field[]>(() => [
    ...(has('timeframe')
        ? [{ name: 'timeframe', label: props.leg.kind === 'overshoot' ? 'Bar' : 'Close', choices: CLOSES }]
        : []),
    ...(has('times') ? [{ name: 'times', label: '', unit: COUNTS.times }] : []),
    ...(has('bars') ? [{ name: 'bars', label: '', unit: COUNTS.bars }] : []),
    ...(has('gapMin') ? [{ name: 'gapMin', label: 'Gap from', unit: '%' }] : []),
    ...(has('gapMax') ? [{ name: 'gapMax', label: 'to', unit: '%' }] : []),
]);
const values = computed<Record<string, string | null>>(() => ({
    timeframe: props.leg.timeframe,
    times: String(props.leg.times),
    bars: String(props.leg.bars),
    gapMin: props.leg.gapMin,
    gapMax: props.leg.gapMax,
}));

function keep(what: string, value: string): void {
    const count = what === 'times' || what === 'bars';
    emit('change', { [what]: count ? Number(value) : value === '' ? null : value });
}
</script>

<template>
    <div class="leg" :class="{ staged: of > 1 }" role="group" :aria-label="`Part ${number + 1} of the entry`">
        <div v-if="of > 1" class="part">
            <InputText
                :model-value="leg.name"
                size="small"
                class="name"
                :aria-label="`Name of part ${number + 1}`"
                @change="emit('change', { name: ($event.target as HTMLInputElement).value })"
            />
            <label class="share">
                <InputText
                    :model-value="String(Math.round(Number(leg.share) * 100))"
                    size="small"
                    inputmode="numeric"
                    :disabled="number === of - 1"
                    :aria-label="`Share of part ${number + 1}, percent`"
                    @change="emit('share', String(Number(($event.target as HTMLInputElement).value) / 100))"
                />
                %
            </label>
            <Select
                v-if="number > 0"
                :model-value="leg.needs ?? NOW"
                :options="needs"
                option-label="label"
                option-value="value"
                size="small"
                class="needs"
                :aria-label="`When part ${number + 1} may act`"
                @update:model-value="emit('change', { needs: $event === NOW ? null : $event })"
            />
            <Button
                icon="pi pi-times"
                text
                size="small"
                severity="secondary"
                :aria-label="`Remove part ${number + 1}`"
                @click="emit('remove')"
            />
        </div>
        <Select
            :model-value="leg.kind"
            :options="choices"
            option-label="label"
            option-value="value"
            size="small"
            class="trigger"
            :aria-label="of === 1 ? 'Trigger' : `Trigger of part ${number + 1}`"
            @update:model-value="emit('change', { kind: $event })"
        />
        <PriceField
            v-if="hasPrice(leg.kind)"
            :label="name"
            :tone="side"
            :price="leg.price"
            :grid="grid"
            :error="error('price')"
            :hint="hint"
            @keep="emit('change', { price: $event })"
        />
        <LineFields
            v-if="lines.length > 0"
            :fields="lines"
            :values="values"
            :error="error('timeframe') ?? error('gap_min_percent') ?? error('gap_max_percent')"
            @keep="keep"
        />
        <PriceField
            v-if="has('within')"
            label="Within"
            :price="Number(leg.within) === 0 ? null : leg.within"
            :grid="grid"
            :error="error('within')"
            hint="still counts"
            @keep="emit('change', { within: $event ?? '' })"
        />
        <PriceField
            v-if="has('beyond')"
            label="Beyond"
            :price="Number(leg.beyond) === 0 ? null : leg.beyond"
            :grid="grid"
            :error="error('beyond')"
            hint="at least so far"
            @keep="emit('change', { beyond: $event ?? '' })"
        />
        <label v-if="has('noChase')" class="check">
            <Checkbox :model-value="leg.noChase" binary @update:model-value="emit('change', { noChase: $event })" />
            Not on an open beyond it
        </label>
        <label v-if="has('nextOpen')" class="check">
            <Checkbox :model-value="leg.nextOpen" binary @update:model-value="emit('change', { nextOpen: $event })" />
            At the next open, not at that close
        </label>
        <PriceField
            v-if="has('worst') && (leg.worst !== null || ['open', 'market'].includes(leg.kind))"
            label="At worst"
            :price="leg.worst"
            :grid="grid"
            :error="error('worst')"
            hint="no fill beyond"
            @keep="emit('change', { worst: $event })"
        />
        <p v-if="error('needs') ?? error('kind')" class="error" role="alert">{{ error('needs') ?? error('kind') }}</p>
    </div>
</template>

<style scoped>
.leg {
    display: flex;
    flex-direction: column;
    gap: 6px;
}
.leg.staged {
    padding-left: 8px;
    border-left: 2px solid var(--hair-2);
}
.part {
    display: flex;
    align-items: center;
    gap: 6px;
}
.name {
    width: 78px;
}
.share {
    display: inline-flex;
    align-items: center;
    gap: 4px;
    font-size: 13px;
}
.share :deep(input) {
    width: 44px;
    text-align: right;
}
.needs {
    flex: 1;
    min-width: 0;
    height: 28px;
    align-items: center;
}
.needs :deep(.p-select-label) {
    padding: 0 0 0 8px;
    font-size: 13px;
}
.trigger {
    align-items: center;
}
.trigger :deep(.p-select-label) {
    font-size: 13px;
    padding-right: 0;
}
.check {
    display: flex;
    align-items: center;
    gap: 8px;
    font-size: 13px;
}
.error {
    color: var(--stop);
    font-size: 13px;
    line-height: 18px;
}
</style>
