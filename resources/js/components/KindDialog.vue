<script setup lang="ts">
import Button from 'primevue/button';
import Checkbox from 'primevue/checkbox';
import Dialog from 'primevue/dialog';
import InputText from 'primevue/inputtext';
import Select from 'primevue/select';
import { computed, ref, watch } from 'vue';
import type { ChoiceData, SetupKindData } from '@/types/data';

/** An author's own kind of setup: its name, its defaults, its checklist. */
const props = defineProps<{
    kind: SetupKindData | null;
    judges: ChoiceData[];
    complete: boolean;
    errors: Record<string, string>;
}>();
const visible = defineModel<boolean>('visible', { required: true });
const emit = defineEmits<{
    keep: [changes: { name: string; checklist: { kind: string; value: string }[]; defaults: boolean }];
    retire: [];
}>();

const OWN = 'own';
const START: Record<string, string> = {
    reward_min: '2',
    stop_min: '0.8',
    near: '1',
    sma_above: '50',
    sma_below: '50',
    ema_above: '20',
    ema_below: '20',
    rsi_max: '70',
    rsi_min: '40',
    volume_min: '1',
    no_earnings: '0',
};

const name = ref('');
const defaults = ref(true);
const lines = ref<{ kind: string; value: string }[]>([]);
const choices = computed(() => [{ value: OWN, label: 'own words, to be ticked' }, ...props.judges]);

watch(visible, (isOpen) => {
    if (isOpen) {
        name.value = props.kind?.name ?? '';
        defaults.value = props.kind === null && props.complete;
        lines.value = (props.kind?.checklist ?? []).map((line) => ({ ...line }));
    }
});

function choose(line: { kind: string; value: string }, kind: string): void {
    line.value = kind === OWN || line.kind === OWN ? (START[kind] ?? '') : line.value || (START[kind] ?? '');
    line.kind = kind;
}

function keep(): void {
    emit('keep', { name: name.value, checklist: lines.value, defaults: defaults.value });
}
</script>

<template>
    <Dialog
        v-model:visible="visible"
        modal
        :header="kind === null ? 'A new kind of setup' : 'Kind of setup'"
        :style="{ width: '560px' }"
    >
        <form @submit.prevent="keep">
            <div class="name">
                <label for="kind-name">Name</label>
                <InputText id="kind-name" v-model="name" size="small" maxlength="40" autofocus />
                <p v-if="errors.name" class="error" role="alert">{{ errors.name }}</p>
            </div>
            <div v-if="complete" class="defaults">
                <Checkbox v-model="defaults" binary input-id="kind-defaults" />
                <label for="kind-defaults">
                    The setup in hand gives the defaults: entry at the level, stop and targets as far from it in ATR, or behind
                    the structure and at the levels where they are now; and all its conditions, moves and ways out.
                </label>
            </div>
            <p v-else-if="kind?.hasDefaults" class="muted">Its defaults stay as they are.</p>
            <p v-if="errors.template" class="error" role="alert">{{ errors.template }}</p>
            <h3>Checklist</h3>
            <p class="muted">What the program can judge is judged on the evening; the rest is ticked by hand.</p>
            <div v-for="(line, i) in lines" :key="i" class="row">
                <Select
                    :model-value="line.kind"
                    :options="choices"
                    option-label="label"
                    option-value="value"
                    size="small"
                    :aria-label="`What line ${i + 1} asks`"
                    @update:model-value="choose(line, $event)"
                />
                <InputText
                    v-model="line.value"
                    size="small"
                    maxlength="120"
                    :class="{ number: line.kind !== OWN }"
                    :aria-label="line.kind === OWN ? `Words of line ${i + 1}` : `Value of line ${i + 1}`"
                />
                <Button
                    icon="pi pi-times"
                    text
                    size="small"
                    severity="secondary"
                    :aria-label="`Take line ${i + 1} away`"
                    @click="lines.splice(i, 1)"
                />
                <p v-if="errors[`checklist.${i}.value`]" class="error" role="alert">{{ errors[`checklist.${i}.value`] }}</p>
            </div>
            <Button
                label="Another line"
                icon="pi pi-plus"
                text
                size="small"
                severity="secondary"
                @click="lines.push({ kind: OWN, value: '' })"
            />
            <footer>
                <Button
                    v-if="kind"
                    label="Lay this kind aside"
                    text
                    size="small"
                    severity="secondary"
                    title="Setups of it keep its name"
                    @click="emit('retire')"
                />
                <span class="end">
                    <Button label="Cancel" text size="small" severity="secondary" @click="visible = false" />
                    <Button label="Keep" type="submit" size="small" />
                </span>
            </footer>
        </form>
    </Dialog>
</template>

<style scoped>
.name {
    display: grid;
    grid-template-columns: 60px minmax(0, 1fr);
    align-items: center;
    gap: 4px 8px;
}
.name .error {
    grid-column: 2;
}
.defaults {
    display: grid;
    grid-template-columns: 24px minmax(0, 1fr);
    margin-top: 12px;
    font-size: 13px;
    line-height: 18px;
}
h3 {
    margin: 12px 0 0;
}
.row {
    display: grid;
    grid-template-columns: 230px minmax(0, 1fr) 32px;
    gap: 8px;
    align-items: center;
    margin-top: 4px;
}
.row .error {
    grid-column: 1 / -1;
}
.number {
    width: 90px;
    text-align: right;
}
.error {
    color: var(--stop);
    font-size: 13px;
    line-height: 18px;
}
footer {
    display: flex;
    justify-content: space-between;
    margin-top: 16px;
}
.end {
    margin-left: auto;
}
</style>
