<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import Menu from 'primevue/menu';
import SelectButton from 'primevue/selectbutton';
import { computed, ref } from 'vue';
import type { VariantData, VariantKind, VariantOfferData } from '@/types/data';
import RStrip from './RStrip.vue';

/** The ways in which a candidate is planned, side by side: which one is in hand, and what binds them. */
const props = defineProps<{
    variants: VariantData[];
    number: number;
    eitherOr: boolean;
    ways: VariantOfferData[];
    errors: Record<string, string>;
}>();
const emit = defineEmits<{
    choose: [number: number];
    add: [kind: VariantKind];
    tie: [changes: { name?: string; either_or?: boolean }];
}>();

const TIES = [
    { label: 'either/or', value: true },
    { label: 'independent', value: false },
];

const menu = ref<InstanceType<typeof Menu>>();
const opener = ref<InstanceType<typeof Button>>();
const items = computed(() => props.ways.map(({ kind, label }) => ({ label, command: () => emit('add', kind) })));
const here = computed(() => props.variants.find((one) => one.number === props.number));

function rename(event: Event): void {
    const field = event.target as HTMLInputElement;
    if (field.value.trim() !== here.value?.name) {
        emit('tie', { name: field.value });
    }
}

/** Open the choice of another way, by key. */
function open(): void {
    const button = (opener.value as unknown as { $el?: HTMLElement } | undefined)?.$el;
    button?.focus();
    button?.click();
}

defineExpose({ open });
</script>

<template>
    <section v-if="variants.length > 0" class="variants" aria-label="Variants">
        <div v-if="variants.length > 1" class="list" role="radiogroup" aria-label="The variant in hand">
            <button
                v-for="one in variants"
                :key="one.number"
                type="button"
                role="radio"
                :aria-checked="one.number === number"
                :class="{ here: one.number === number }"
                @click="emit('choose', one.number)"
            >
                <span class="name" :class="one.side">{{ one.side === 'long' ? '▲' : '▼' }} {{ one.name }}</span>
                <RStrip v-if="one.strip" :strip="one.strip" :width="150" />
                <span class="short">{{ one.short ?? 'not complete yet' }}</span>
            </button>
        </div>
        <div v-if="variants.length > 1" class="ties">
            <SelectButton
                :model-value="eitherOr"
                :options="TIES"
                option-label="label"
                option-value="value"
                :allow-empty="false"
                size="small"
                aria-label="What binds the variants"
                @update:model-value="emit('tie', { either_or: $event })"
            />
            <InputText
                :key="`${number} ${here?.name}`"
                :default-value="here?.name ?? ''"
                size="small"
                maxlength="40"
                aria-label="Name of the variant"
                @change="rename"
                @keydown.enter="($event.target as HTMLElement).blur()"
            />
            <Button
                v-if="ways.length > 0"
                ref="opener"
                icon="pi pi-plus"
                text
                size="small"
                severity="secondary"
                aria-label="Another way"
                aria-haspopup="true"
                title="Another way to trade it (Y)"
                @click="menu?.toggle($event)"
            />
        </div>
        <p v-if="variants.length > 1" class="muted">
            {{
                eitherOr
                    ? 'The first that is filled ends what waits of the others.'
                    : 'Each is followed by itself; both may be filled.'
            }}
        </p>
        <Button
            v-if="ways.length > 0 && variants.length === 1"
            ref="opener"
            label="Another way"
            icon="pi pi-plus"
            text
            size="small"
            severity="secondary"
            aria-haspopup="true"
            title="A variant of this setup (Y)"
            @click="menu?.toggle($event)"
        />
        <Menu ref="menu" :model="items" popup />
        <p v-if="errors.variant ?? errors.name" class="error" role="alert">{{ errors.variant ?? errors.name }}</p>
    </section>
</template>

<style scoped>
.variants {
    margin-bottom: 8px;
    padding-bottom: 4px;
    border-bottom: 1px solid var(--hair);
}
.list {
    display: grid;
    gap: 2px;
}
.list button {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 150px;
    gap: 0 8px;
    align-items: center;
    padding: 4px 8px;
    border: 0;
    border-left: 3px solid transparent;
    background: none;
    font: inherit;
    font-size: 13px;
    text-align: left;
    color: inherit;
    cursor: pointer;
}
.list button:hover {
    background: var(--wash);
}
.list .here {
    border-left-color: var(--ink);
    background: var(--wash);
}
.name {
    overflow: hidden;
    font-weight: 600;
    text-overflow: ellipsis;
    white-space: nowrap;
}
.name.long {
    color: var(--long);
}
.name.short {
    color: var(--short);
}
.short:not(.name) {
    grid-column: 1 / -1;
    font-size: 12px;
    line-height: 16px;
    color: var(--ink-2);
}
.ties {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr) auto;
    gap: 6px;
    margin-top: 6px;
}
.muted {
    margin-top: 2px;
    font-size: 12px;
    line-height: 16px;
}
.error {
    color: var(--stop);
    font-size: 13px;
    line-height: 18px;
}
</style>
