<script setup lang="ts">
import Button from 'primevue/button';
import Select from 'primevue/select';
import { computed, nextTick, ref } from 'vue';
import { AFTER, CONDITIONS, TO, type Field, type SetupChange } from '@/lib/setup';
import type { ConditionData, SetupData, StopMoveData } from '@/types/data';
import LineFields from './LineFields.vue';

/** Conditions, moves of the stop and other ways out: each a line that reads as it will be published, edited in place. */
const props = defineProps<{ setup: SetupData; errors: Record<string, string> }>();
const emit = defineEmits<{ change: [changes: SetupChange] }>();

type Values = Record<string, string | null>;
interface Line {
    key: string;
    text: string;
    fields: Field[];
    values: Values;
    error: string | undefined;
    keep: (name: string, value: string) => void;
    remove: () => void;
}

const open = ref<string | null>(null);
/** How often something was added: the list begins anew each time. */
const added = ref(0);
/** A line that is being filled in and not kept yet: it lacks something. */
const draft = ref<{ kind: 'condition' | 'move'; values: Values } | null>(null);

function bare(line: ConditionData | StopMoveData): Values {
    return Object.fromEntries(Object.entries(line).filter(([name]) => name !== 'text')) as Values;
}
/** The lists are changed as they stand when the change has its turn. */
const setConditions = (change: (lines: Values[]) => Values[]): void =>
    emit('change', (now) => ({ conditions: change(now.conditions.map(bare)) }));
const setMoves = (change: (lines: Values[]) => Values[]): void =>
    emit('change', (now) => ({ stop_moves: change(now.stopMoves.map(bare)) }));
const errorOf = (path: string): string | undefined => Object.entries(props.errors).find(([field]) => field.startsWith(path))?.[1];

/** Why a line that was to be added is not in the list. */
const refused = computed(() => {
    const counts: Record<string, number> = {
        conditions: props.setup.conditions.length,
        stop_moves: props.setup.stopMoves.length,
    };
    return Object.entries(props.errors).find(([field]) => {
        const [list = '', index] = field.split('.');
        return Number(index) >= (counts[list] ?? Infinity);
    })?.[1];
});

const AFTERS = Object.entries(AFTER).map(([value, { label }]) => ({ value, label }));
const TOS = Object.entries(TO).map(([value, { label }]) => ({ value, label }));

function moveFields(values: Values): Field[] {
    const after = AFTER[values.after ?? ''];
    return [
        { name: 'after', label: 'When', choices: AFTERS },
        ...(after === undefined ? [] : [after.field]),
        { name: 'to', label: 'Stop', choices: TOS },
        ...(TO[values.to ?? '']?.fields ?? []),
    ];
}

/** A changed move: another kind starts with fields of its own. */
function moved(values: Values, name: string, value: string): Values {
    const next = { ...values, [name]: value };
    if (name === 'after') {
        next.afterValue = AFTER[value]?.start ?? null;
    }
    return name === 'to'
        ? { after: next.after ?? null, afterValue: next.afterValue ?? null, to: value, ...TO[value]?.start }
        : next;
}

function isFilled(fields: Field[], values: Values): boolean {
    return fields.every((field) => (values[field.name] ?? '') !== '');
}

const lines = computed<Line[]>(() => [
    ...props.setup.conditions.map((one, i) => ({
        key: `condition-${i}`,
        text: one.text,
        fields: CONDITIONS[one.kind]?.fields ?? [],
        values: bare(one),
        error: errorOf(`conditions.${i}`),
        keep: (name: string, value: string) =>
            setConditions((lines) => lines.map((was, n) => (n === i ? { ...was, [name]: value } : was))),
        remove: () => setConditions((lines) => lines.filter((_, n) => n !== i)),
    })),
    ...props.setup.stopMoves.map((one, i) => ({
        key: `move-${i}`,
        text: one.text,
        fields: moveFields(bare(one)),
        values: bare(one),
        error: errorOf(`stop_moves.${i}`),
        keep: (name: string, value: string) =>
            setMoves((lines) => lines.map((was, n) => (n === i ? moved(was, name, value) : was))),
        remove: () => setMoves((lines) => lines.filter((_, n) => n !== i)),
    })),
    ...(props.setup.timeStop === null
        ? []
        : [
              {
                  key: 'time',
                  text: `Out at the close after ${props.setup.timeStop} ${props.setup.timeStop === 1 ? 'session' : 'sessions'} held`,
                  fields: [{ name: 'sessions', label: 'Sessions held' }],
                  values: { sessions: String(props.setup.timeStop) },
                  error: errorOf('time_stop'),
                  keep: (_: string, value: string) => emit('change', { time_stop: value === '' ? null : value }),
                  remove: () => emit('change', { time_stop: null }),
              },
          ]),
    ...(props.setup.openExit === null
        ? []
        : [
              {
                  key: 'open',
                  text: `Out at the open of session ${props.setup.openExit.session} held${props.setup.openExit.gapMin === null ? '' : `, unless it gaps ${props.setup.openExit.gapMin} % or more`}`,
                  fields: [
                      { name: 'session', label: 'Session' },
                      { name: 'gapMin', label: 'stays on a gap of', unit: '% or more' },
                  ],
                  values: { session: String(props.setup.openExit.session), gapMin: props.setup.openExit.gapMin },
                  error: errorOf('open_exit'),
                  keep: (name: string, value: string) =>
                      emit('change', (now) => ({ open_exit: { ...now.openExit, [name]: value === '' ? null : value } })),
                  remove: () => emit('change', { open_exit: null }),
              },
          ]),
]);

const draftFields = computed<Field[]>(() => {
    const one = draft.value;
    return one === null
        ? []
        : one.kind === 'condition'
          ? (CONDITIONS[one.values.kind ?? '']?.fields ?? [])
          : moveFields(one.values);
});

const choices = computed(() =>
    [
        {
            label: 'Only if',
            items: Object.entries(CONDITIONS).map(([kind, { label }]) => ({ label, value: `condition:${kind}` })),
        },
        {
            label: 'The stop moves',
            items: TOS.map(({ value, label }) => ({ label, value: `move:${value}` })),
        },
        {
            label: 'Another way out',
            items: [
                ...(props.setup.timeStop === null ? [{ label: 'after so many sessions', value: 'time' }] : []),
                ...(props.setup.openExit === null ? [{ label: 'at an open', value: 'open' }] : []),
            ],
        },
    ].filter((group) => group.items.length > 0),
);

function add(choice: string): void {
    added.value++;
    const [what, kind = ''] = choice.split(':');
    draft.value = null;
    if (what === 'time') {
        open.value = 'time';
        emit('change', { time_stop: 10 });
    } else if (what === 'open') {
        open.value = 'open';
        emit('change', { open_exit: { session: 2, gapMin: null } });
    } else if (what === 'condition') {
        keepDraft({ kind: 'condition', values: { kind, ...CONDITIONS[kind]?.start } });
    } else {
        const after = props.setup.targets.length > 0 ? 'target' : 'r';
        keepDraft({ kind: 'move', values: { after, afterValue: AFTER[after]?.start ?? '', to: kind, ...TO[kind]?.start } });
    }
}

/** A line that lacks nothing is kept at once; else it is filled in first. */
function keepDraft(next: { kind: 'condition' | 'move'; values: Values }): void {
    draft.value = next;
    if (!isFilled(draftFields.value, next.values)) {
        open.value = 'draft';
        void nextTick(() => document.querySelector<HTMLInputElement>('.parts .new input')?.focus());
        return;
    }
    draft.value = null;
    if (next.kind === 'condition') {
        open.value = `condition-${props.setup.conditions.length}`;
        setConditions((lines) => [...lines, next.values]);
    } else {
        open.value = `move-${props.setup.stopMoves.length}`;
        setMoves((lines) => [...lines, next.values]);
    }
}

function fillDraft(name: string, value: string): void {
    const one = draft.value;
    if (one !== null) {
        keepDraft({
            kind: one.kind,
            values: one.kind === 'move' ? moved(one.values, name, value) : { ...one.values, [name]: value },
        });
    }
}
</script>

<template>
    <div class="parts" role="group" aria-label="Conditions, moves and other ways out">
        <div v-for="line in lines" :key="line.key" class="line" :class="{ open: open === line.key }">
            <button
                type="button"
                class="text"
                :aria-expanded="open === line.key"
                @click="open = open === line.key ? null : line.key"
            >
                {{ line.text }}
            </button>
            <Button
                icon="pi pi-times"
                text
                size="small"
                severity="secondary"
                :aria-label="`Remove: ${line.text}`"
                @click="line.remove()"
            />
            <LineFields
                v-if="open === line.key || line.error"
                class="edit"
                :fields="line.fields"
                :values="line.values"
                :error="line.error"
                @keep="line.keep"
            />
        </div>
        <div v-if="draft" class="line open new">
            <span class="text muted">To be filled in:</span>
            <Button icon="pi pi-times" text size="small" severity="secondary" aria-label="Leave it" @click="draft = null" />
            <LineFields
                class="edit"
                :fields="draftFields"
                :values="draft.values"
                :error="errorOf(draft.kind === 'condition' ? 'conditions' : 'stop_moves')"
                @keep="fillDraft"
            />
        </div>
        <p v-else-if="refused" class="error" role="alert">{{ refused }} It was not added.</p>
        <Select
            :key="added"
            :model-value="null"
            :options="choices"
            option-group-label="label"
            option-group-children="items"
            option-label="label"
            option-value="value"
            placeholder="Add a condition, a stop move, a way out"
            size="small"
            class="add"
            aria-label="Add to the setup"
            @update:model-value="add($event)"
        />
    </div>
</template>

<style scoped>
.parts {
    display: grid;
    gap: 2px;
}
.line {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 28px;
    align-items: start;
}
.line.open {
    background: var(--wash);
    margin: 0 -8px;
    padding: 0 8px;
}
.text {
    padding: 4px 0;
    border: 0;
    background: none;
    font: inherit;
    font-size: 13px;
    line-height: 18px;
    text-align: left;
    color: var(--ink);
    cursor: pointer;
}
.edit {
    grid-column: 1 / -1;
}
.add {
    align-items: center;
}
.add :deep(.p-select-label) {
    font-size: 13px;
    color: var(--ink-2);
}
.error {
    color: var(--stop);
    font-size: 13px;
    line-height: 18px;
}
</style>
