<script setup lang="ts">
import Button from 'primevue/button';
import InputNumber from 'primevue/inputnumber';
import Select from 'primevue/select';
import SelectButton from 'primevue/selectbutton';
import { computed } from 'vue';
import { signed, type Grid } from '@/lib/price';
import { CLOSES, withPart, withoutPart, type SetupChange } from '@/lib/setup';
import type { CloseRuleData, LegData, SetupData, TargetData } from '@/types/data';
import LegEditor from './LegEditor.vue';
import PartLines from './PartLines.vue';
import PriceField from './PriceField.vue';

/** The setup of a candidate, line by line. Everything is kept as soon as it is changed. */
const props = defineProps<{ setup: SetupData; grid: Grid; errors: Record<string, string> }>();
const emit = defineEmits<{ change: [changes: SetupChange]; clear: [] }>();

const MOST_LEGS = 4;
const MOST_TARGETS = 5;

const sides = [
    { label: 'Long', value: 'long' },
    { label: 'Short', value: 'short' },
];
const shares = [
    { label: 'all', value: '1' },
    { label: '3/4', value: '0.75' },
    { label: 'half', value: '0.5' },
    { label: '1/4', value: '0.25' },
];

/** How a stop or a cancel is met: by touch, or by so many closes. */
const bases = computed(() => [
    { value: 'touch', label: 'touched' },
    ...CLOSES.filter(({ value }) => ['30m', '1h', '1d', '1w'].includes(value)).map(({ value, label }) => ({
        value: `${value} 1`,
        label: `${label} close`,
    })),
    { value: '1d 2', label: '2 daily closes' },
]);
const basisOf = (rule: CloseRuleData | null): string => (rule === null ? 'touch' : `${rule.timeframe} ${rule.times}`);
function ruleOf(basis: string): { timeframe: string; times: number } | null {
    const [timeframe = '', times] = basis.split(' ');
    return basis === 'touch' ? null : { timeframe, times: Number(times) };
}

const targets = computed<(TargetData | null)[]>(() => [
    ...props.setup.targets,
    ...(props.setup.targets.length < MOST_TARGETS ? [null] : []),
]);

function setTarget(index: number, change: { price?: string | null; share?: string }): void {
    emit('change', (now) => ({ targets: withTarget(now, index, change) }));
}

function withTarget(now: SetupData, index: number, change: { price?: string | null; share?: string }): unknown[] {
    const next = now.targets.map(({ price, share }) => ({ price: price as string | null, share }));
    const old = next[index];
    if (old === undefined) {
        // another target takes half of what the last one took
        const last = next.at(-1);
        const half = last === undefined ? '1' : String(Math.round((Number(last.share) / 2) * 100) / 100);
        if (last !== undefined) {
            last.share = String(Math.round((Number(last.share) - Number(half)) * 100) / 100);
        }
        next.push({ price: change.price ?? null, share: half });
    } else {
        next[index] = { ...old, ...change };
    }
    const left = next.filter((target) => target.price !== null);
    if (left.length === 1 && left[0] !== undefined && next.length === 2) {
        left[0].share = '1';
    }
    return left;
}

function options(share: string): { label: string; value: string }[] {
    return shares.some((one) => one.value === share)
        ? shares
        : [...shares, { label: `${Math.round(Number(share) * 100)} %`, value: share }];
}

function setLeg(index: number, change: Partial<LegData>): void {
    emit('change', (now) => ({
        legs: now.legs.map((leg, i) => ({
            ...leg,
            ...(i === index ? change : {}),
            // a part that is renamed is still the one that is waited for
            ...(change.name !== undefined && leg.needs !== null && leg.needs === now.legs[index]?.name
                ? { needs: change.name }
                : {}),
        })),
    }));
}

/** The last part has what the others leave. */
function setShare(index: number, share: string): void {
    emit('change', (now) => ({ legs: withShare(now, index, share) }));
}

function withShare(now: SetupData, index: number, share: string): LegData[] {
    const legs = now.legs.map((leg, i) => (i === index ? { ...leg, share } : { ...leg }));
    const last = legs.at(-1);
    if (last !== undefined) {
        const others = legs.slice(0, -1).reduce((sum, leg) => sum + Number(leg.share), 0);
        last.share = String(Math.round((1 - others) * 100) / 100);
    }
    return legs;
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
            <Button
                v-if="setup.legs.length < MOST_LEGS"
                label="Stage"
                icon="pi pi-plus"
                text
                size="small"
                severity="secondary"
                title="Another part of the entry"
                @click="emit('change', (now) => ({ legs: withPart(now) }))"
            />
        </div>
        <LegEditor
            v-for="(leg, i) in setup.legs"
            :key="i"
            :leg="leg"
            :number="i"
            :of="setup.legs.length"
            :side="setup.side"
            :kinds="setup.offered"
            :earlier="setup.legs.slice(0, i).map((one) => one.name)"
            :grid="grid"
            :errors="errors"
            :hint="i === 0 && setup.risk ? `1 R = ${setup.risk}, ${setup.riskPercent} %` : undefined"
            @change="setLeg(i, $event)"
            @share="setShare(i, $event)"
            @remove="emit('change', (now) => ({ legs: withoutPart(now, i) }))"
        />
        <p
            v-for="(_, i) in setup.legs"
            v-show="errors[`legs.${i}.share`] ?? errors[`legs.${i}.name`]"
            :key="`share-${i}`"
            class="error"
            role="alert"
        >
            {{ errors[`legs.${i}.share`] ?? errors[`legs.${i}.name`] }}
        </p>
        <div class="based">
            <PriceField
                label="Stop"
                tone="stop"
                :price="setup.stop"
                :grid="grid"
                :error="errors['stop.price']"
                @keep="emit('change', { stop: $event })"
            />
            <Select
                :model-value="basisOf(setup.stopCloses)"
                :options="bases"
                option-label="label"
                option-value="value"
                size="small"
                class="basis"
                aria-label="How the stop is met"
                @update:model-value="emit('change', { stop_closes: ruleOf($event) })"
            />
        </div>
        <div v-if="setup.stopOffers.length > 0" class="offers" role="group" aria-label="Places for the stop">
            <button
                v-for="offer in setup.stopOffers"
                :key="offer.price"
                type="button"
                :class="{ here: offer.price === setup.stop }"
                :aria-pressed="offer.price === setup.stop"
                @click="emit('change', { stop: offer.price })"
            >
                <b>{{ offer.price }}</b> <span>{{ offer.distance }}, {{ offer.why }}</span>
            </button>
        </div>
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
        <div class="based">
            <PriceField
                label="Cancel"
                tone="stop"
                :price="setup.cancel"
                :grid="grid"
                :error="errors['cancel.price']"
                @keep="emit('change', { cancel: $event })"
            />
            <Select
                v-if="setup.cancel !== null"
                :model-value="basisOf(setup.cancelCloses)"
                :options="bases"
                option-label="label"
                option-value="value"
                size="small"
                class="basis"
                aria-label="How the cancel price is met"
                @update:model-value="emit('change', { cancel_closes: ruleOf($event) })"
            />
            <span v-else class="until">ends the wait</span>
        </div>
        <SelectButton
            v-if="setup.cancel !== null"
            :model-value="setup.cancelSide"
            :options="[
                { label: 'on the losing side', value: 'stop' },
                { label: 'on the winning side', value: 'target' },
            ]"
            option-label="label"
            option-value="value"
            :allow-empty="false"
            size="small"
            aria-label="Side of the cancel price"
            @update:model-value="emit('change', { cancel_side: $event })"
        />
        <PartLines :setup="setup" :errors="errors" @change="emit('change', $event)" />
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
        <dl v-if="setup.figures.length > 0" class="figures" aria-label="Figures of the setup">
            <template v-for="figure in setup.figures" :key="figure.label">
                <dt>{{ figure.label }}</dt>
                <dd>
                    <b>{{ figure.value }}</b> <span>{{ figure.note }}</span>
                </dd>
            </template>
        </dl>
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
.line :deep(.p-togglebutton-checked) {
    font-weight: 650;
}
.line .long :deep(.p-togglebutton-checked .p-togglebutton-label) {
    color: var(--long);
}
.line .short :deep(.p-togglebutton-checked .p-togglebutton-label) {
    color: var(--short);
}
.line {
    justify-content: space-between;
}
.based {
    display: grid;
    grid-template-columns: 154px minmax(0, 1fr);
    align-items: start;
    column-gap: 4px;
}
.based :deep(.field) {
    grid-template-columns: 60px 86px 0;
}
.based :deep(.error) {
    width: 280px;
}
.basis {
    height: 28px;
    min-width: 0;
    align-items: center;
}
.basis :deep(.p-select-label) {
    padding: 0 0 0 8px;
    font-size: 13px;
}
.basis :deep(.p-select-dropdown) {
    width: 24px;
}
.based .until {
    line-height: 28px;
}
.offers {
    display: grid;
    margin-top: -4px;
}
.offers button {
    display: flex;
    gap: 8px;
    align-items: baseline;
    min-height: 24px;
    padding: 0 0 0 68px;
    border: 0;
    background: none;
    font: inherit;
    font-size: 12px;
    text-align: left;
    color: var(--ink-2);
    cursor: pointer;
}
.offers b {
    font-weight: 600;
    color: var(--ink);
}
.offers button.here b {
    color: var(--stop);
}
.offers button:hover b {
    text-decoration: underline;
}
.offers span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
}
.figures {
    display: grid;
    grid-template-columns: 84px minmax(0, 1fr);
    gap: 2px 8px;
    margin: 0;
    padding-top: 8px;
    border-top: 1px solid var(--hair);
    font-size: 13px;
    line-height: 18px;
}
.figures dt {
    color: var(--ink-2);
}
.figures dd {
    margin: 0;
}
.figures b {
    font-weight: 600;
    white-space: nowrap;
}
.figures span {
    color: var(--ink-2);
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
    column-gap: 6px;
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
