<script setup lang="ts">
import Button from 'primevue/button';
import Select, { type SelectChangeEvent } from 'primevue/select';
import type { LadderRowData } from '@/types/data';

/** What can be done with the row of the ladder that is chosen. */
const props = defineProps<{ row: LadderRowData | null }>();
const emit = defineEmits<{
    describe: [row: LadderRowData, changes: { origin?: string; grade?: string }];
    use: [row: LadderRowData, as: 'entry' | 'stop' | 'target'];
    remove: [row: LadderRowData];
    adopt: [row: LadderRowData];
    open: [row: LadderRowData];
    /** work goes back to the ladder */
    done: [];
}>();

const origins = [
    'own reading',
    'swing high',
    'swing low',
    'previous high',
    'previous low',
    'gap edge',
    'round number',
    'moving average',
    'base',
    'trend line',
];
const uses = [
    { as: 'entry', label: 'Entry', key: 'e', title: 'Make it the entry (e)' },
    { as: 'stop', label: 'Stop', key: 's', title: 'Make it the stop (s)' },
    { as: 'target', label: 'Target', key: 't', title: 'Make it a target (t)' },
] as const;

/** An origin is kept when it is picked, on Enter, and also when what was typed is left. */
function name(origin: unknown): void {
    if (props.row !== null && typeof origin === 'string' && origin.trim() !== '' && origin !== props.row.label) {
        emit('describe', props.row, { origin });
    }
}

function picked(event: SelectChangeEvent): void {
    if (event.originalEvent.type !== 'input') {
        name(event.value);
    }
}

function typed(event: Event): void {
    name((event.target as HTMLInputElement).value);
}
</script>

<template>
    <div class="chosen-row" aria-live="polite">
        <template v-if="row">
            <strong>{{ row.price }}</strong>
            <template v-if="row.kind === 'level'">
                <Select
                    id="origin"
                    :key="row.key"
                    :model-value="row.label"
                    :options="origins"
                    editable
                    size="small"
                    class="origin-pick"
                    aria-label="Origin of the level"
                    @change="picked"
                    @keydown.enter.stop="(typed($event), emit('done'))"
                    @keydown.esc.stop="emit('done')"
                    @keydown.stop
                    @focusout="typed"
                />
                <Button
                    :label="row.grade === 'major' ? 'Major' : 'Minor'"
                    size="small"
                    severity="secondary"
                    outlined
                    title="Turn to major or minor (g)"
                    @click="emit('describe', row, { grade: row.grade === 'major' ? 'minor' : 'major' })"
                />
            </template>
            <span v-else-if="row.kind === 'found'" class="why" :title="row.label">{{ row.label }}</span>
            <template v-else>{{ row.label }}</template>
            <span class="make">
                <Button
                    v-if="row.kind === 'found'"
                    size="small"
                    text
                    severity="secondary"
                    title="Take it over as a level of yours (a)"
                    @click="emit('adopt', row)"
                >
                    Take over <kbd>a</kbd>
                </Button>
                <Button
                    v-if="row.kind === 'found' || row.kind === 'level'"
                    size="small"
                    text
                    severity="secondary"
                    :title="row.kind === 'found' ? 'Its evidence (Enter)' : 'All that is known of it (Enter)'"
                    @click="emit('open', row)"
                >
                    Open
                </Button>
                <Button
                    v-for="use in uses"
                    :key="use.as"
                    size="small"
                    text
                    severity="secondary"
                    :title="use.title"
                    @click="emit('use', row, use.as)"
                >
                    {{ use.label }} <kbd>{{ use.key }}</kbd>
                </Button>
                <Button
                    v-if="row.kind !== 'last' && row.kind !== 'found'"
                    icon="pi pi-trash"
                    size="small"
                    text
                    severity="secondary"
                    aria-label="Delete"
                    title="Delete (Del)"
                    @click="emit('remove', row)"
                />
            </span>
        </template>
        <span v-else class="muted">Choose a row of the ladder to name it, or to make it the entry, stop or target.</span>
    </div>
</template>

<style scoped>
.chosen-row,
.make {
    display: flex;
    align-items: center;
    gap: 8px;
    white-space: nowrap;
}
.make {
    gap: 0;
}
.make kbd {
    margin-left: 4px;
}
.why {
    overflow: hidden;
    text-overflow: ellipsis;
    max-width: 220px;
    color: var(--ink-2);
}
.origin-pick {
    width: 148px;
}
.muted {
    font-size: 13px;
}
</style>
