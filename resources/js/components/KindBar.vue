<script setup lang="ts">
import Button from 'primevue/button';
import Checkbox from 'primevue/checkbox';
import Select from 'primevue/select';
import { computed, ref, watch } from 'vue';
import { STANDING, standingOf } from '@/lib/checklist';
import type { ChoiceData, SetupData, SetupKindData } from '@/types/data';
import KindDialog from './KindDialog.vue';

/** What is kept of a kind of setup; with `defaults` the setup in hand becomes its defaults. */
export interface KindChanges {
    name: string;
    checklist: { kind: string; value: string }[];
    defaults: boolean;
}

/** Of what kind the setup is, and how the checklist of its kind stands. */
const props = defineProps<{
    kinds: SetupKindData[];
    setup: SetupData;
    judges: ChoiceData[];
    errors: Record<string, string>;
}>();
const emit = defineEmits<{
    apply: [id: number];
    keep: [id: number | null, changes: KindChanges, kept: () => void];
    retire: [id: number];
    tick: [line: string, ticked: boolean];
}>();

const open = ref(false);
/** Also the lines that are met; a tick stays in sight until another setup comes. */
const all = ref(false);
const ticked = ref(new Set<string>());
watch(
    () => props.setup.kind,
    () => ticked.value.clear(),
);
const edited = ref<SetupKindData | null>(null);
const here = computed(() => props.kinds.find((kind) => kind.id === props.setup.kind) ?? null);
const shown = computed(() =>
    (props.setup.checklist?.lines ?? []).filter((line) => all.value || line.standing !== 'met' || ticked.value.has(line.text)),
);
const complete = computed(() => props.setup.begun && props.setup.missing.length === 0);

function edit(kind: SetupKindData | null): void {
    edited.value = kind;
    open.value = true;
}

function tick(line: string, isTicked: boolean): void {
    ticked.value.add(line);
    emit('tick', line, isTicked);
}

function keep(changes: KindChanges): void {
    emit('keep', edited.value?.id ?? null, changes, () => (open.value = false));
}

function retire(): void {
    if (edited.value !== null) {
        emit('retire', edited.value.id);
        open.value = false;
    }
}
</script>

<template>
    <section v-if="kinds.length > 0 || complete" class="kind" aria-label="Kind of setup">
        <div class="line">
            <Select
                v-if="kinds.length > 0"
                :model-value="setup.kind"
                input-id="setup-kind"
                :options="kinds"
                option-label="name"
                option-value="id"
                placeholder="Kind of setup"
                size="small"
                aria-label="Kind of setup"
                @update:model-value="emit('apply', $event)"
            />
            <Button v-if="here" label="Edit" text size="small" severity="secondary" @click="edit(here)" />
            <Button
                v-if="complete"
                :label="kinds.length > 0 ? 'New' : 'Keep as a kind of setup'"
                icon="pi pi-plus"
                text
                size="small"
                severity="secondary"
                title="A kind of setup with this one as its defaults"
                @click="edit(null)"
            />
        </div>
        <p v-if="errors.kind" class="error" role="alert">{{ errors.kind }}</p>
        <template v-if="setup.checklist !== null && setup.checklist.of > 0">
            <p class="count">
                <b>{{ setup.checklist.met }} of {{ setup.checklist.of }}</b> met
                <button v-if="setup.checklist.met > 0" type="button" :aria-expanded="all" @click="all = !all">
                    {{ all ? 'show only the others' : 'show all' }}
                </button>
            </p>
            <ul>
                <li v-for="(line, i) in shown" :key="line.text" :class="line.standing">
                    <template v-if="line.judged">
                        <span class="mark" aria-hidden="true">{{ STANDING[line.standing].mark }}</span>
                        <span
                            >{{ line.text }} <span class="value">{{ standingOf(line) }}</span></span
                        >
                    </template>
                    <template v-else>
                        <Checkbox
                            :model-value="line.standing === 'met'"
                            binary
                            size="small"
                            :input-id="`tick-${i}`"
                            @update:model-value="tick(line.text, $event)"
                        />
                        <label :for="`tick-${i}`">{{ line.text }}</label>
                    </template>
                </li>
            </ul>
        </template>
        <KindDialog
            v-model:visible="open"
            :kind="edited"
            :judges="judges"
            :complete="complete"
            :errors="errors"
            @keep="keep"
            @retire="retire"
        />
    </section>
</template>

<style scoped>
.kind {
    margin-bottom: 8px;
    padding-bottom: 6px;
    border-bottom: 1px solid var(--hair);
}
.line {
    display: flex;
    gap: 4px;
    align-items: center;
}
.line :deep(.p-select) {
    flex: 1;
    min-width: 0;
}
.count {
    margin-top: 4px;
    font-size: 13px;
}
.count button {
    padding: 0 4px;
    border: 0;
    background: none;
    font: inherit;
    color: var(--ink-2);
    text-decoration: underline;
    cursor: pointer;
}
ul {
    margin: 2px 0 0;
    padding: 0;
    list-style: none;
}
li {
    display: grid;
    grid-template-columns: 22px minmax(0, 1fr);
    align-items: start;
    padding: 2px 0;
    font-size: 13px;
    line-height: 18px;
}
.mark {
    text-align: center;
}
.not_yet {
    color: var(--ink-2);
}
.failed .mark,
.failed .value {
    color: var(--stop);
}
.value {
    white-space: nowrap;
    color: var(--ink-2);
}
.error {
    color: var(--stop);
    font-size: 13px;
    line-height: 18px;
}
</style>
