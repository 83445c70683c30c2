<script setup lang="ts">
import AutoComplete from 'primevue/autocomplete';
import SelectButton from 'primevue/selectbutton';
import Textarea from 'primevue/textarea';
import { ref, watch } from 'vue';
import type { Grid } from '@/lib/price';
import type { ReadingNoteData } from '@/types/data';
import PriceField from './PriceField.vue';

/** What the author reads in the chart: the shape in free words, how clean it is, what speaks for it and against, what would prove it wrong. */
const props = defineProps<{ note: ReadingNoteData; grid: Grid; errors: Record<string, string> }>();
const emit = defineEmits<{ change: [changes: Partial<ReadingNoteData>] }>();

const SHAPES = [
    'ascending triangle',
    'base',
    'channel',
    'cup',
    'descending triangle',
    'double bottom',
    'double top',
    'failed break',
    'flag',
    'gap and hold',
    'higher low',
    'inside bars',
    'lower high',
    'pennant',
    'pullback to an average',
    'range',
    'rounded top',
    'triangle',
    'wedge',
];
const grades = [1, 2, 3, 4, 5];

const shape = ref(props.note.shape);
const speaksFor = ref(props.note.speaksFor);
const speaksAgainst = ref(props.note.speaksAgainst);
const wrongIf = ref(props.note.wrongIf);
const hints = ref<string[]>([]);
watch(
    () => props.note,
    (next, before) => {
        // what is being typed stays; the rest follows what is kept
        if (shape.value === before.shape) shape.value = next.shape;
        if (speaksFor.value === before.speaksFor) speaksFor.value = next.speaksFor;
        if (speaksAgainst.value === before.speaksAgainst) speaksAgainst.value = next.speaksAgainst;
        if (wrongIf.value === before.wrongIf) wrongIf.value = next.wrongIf;
    },
);

function search(query: string): void {
    hints.value = SHAPES.filter((one) => one.includes(query.toLowerCase()));
}

function keep(): void {
    if (shape.value !== props.note.shape) emit('change', { shape: shape.value });
    if (speaksFor.value !== props.note.speaksFor) emit('change', { speaksFor: speaksFor.value });
    if (speaksAgainst.value !== props.note.speaksAgainst) emit('change', { speaksAgainst: speaksAgainst.value });
    if (wrongIf.value !== props.note.wrongIf) emit('change', { wrongIf: wrongIf.value });
}
</script>

<template>
    <section class="note" aria-label="Reading">
        <label for="shape">Shape</label>
        <AutoComplete
            v-model="shape"
            input-id="shape"
            :suggestions="hints"
            dropdown
            size="small"
            maxlength="60"
            placeholder="in your own words"
            @complete="search($event.query)"
            @option-select="keep"
            @blur="keep"
            @keydown.enter="keep"
        />
        <p v-if="errors.shape" class="error" role="alert">{{ errors.shape }}</p>
        <span id="cleanness">How clean it is</span>
        <SelectButton
            :model-value="note.cleanness"
            :options="grades"
            size="small"
            aria-labelledby="cleanness"
            @update:model-value="emit('change', { cleanness: $event })"
        />
        <label for="speaks-for">What speaks for it</label>
        <Textarea id="speaks-for" v-model="speaksFor" rows="3" maxlength="600" @blur="keep" />
        <label for="speaks-against">What speaks against it</label>
        <Textarea id="speaks-against" v-model="speaksAgainst" rows="3" maxlength="600" @blur="keep" />
        <label for="wrong-if">What would prove it wrong</label>
        <Textarea id="wrong-if" v-model="wrongIf" rows="2" maxlength="300" @blur="keep" />
        <PriceField
            label="Wrong at"
            :price="note.wrongAt"
            :grid="grid"
            :error="errors.wrongAt"
            hint="if not at the stop"
            @keep="emit('change', { wrongAt: $event })"
        />
        <span id="conviction" class="rated">Conviction</span>
        <SelectButton
            :model-value="note.conviction"
            :options="grades"
            size="small"
            aria-labelledby="conviction"
            @update:model-value="emit('change', { conviction: $event })"
        />
        <p class="muted">The shape is for you; the rest is published with the plan.</p>
    </section>
</template>

<style scoped>
.note {
    display: grid;
    gap: 4px;
}
label,
.rated,
#cleanness {
    margin-top: 8px;
    font-weight: 600;
    font-size: 13px;
}
.note :deep(textarea),
.note :deep(.p-autocomplete) {
    width: 100%;
}
.error {
    color: var(--stop);
    font-size: 13px;
}
</style>
