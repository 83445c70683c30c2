<script setup lang="ts">
import Button from 'primevue/button';
import Checkbox from 'primevue/checkbox';
import DatePicker from 'primevue/datepicker';
import InputNumber from 'primevue/inputnumber';
import InputText from 'primevue/inputtext';
import Select from 'primevue/select';
import SelectButton from 'primevue/selectbutton';
import { computed, ref, watch } from 'vue';
import { FRAMES } from '@/chart/frames';
import type { LevelChanges } from '@/lib/bench';
import { dayOf, iso } from '@/lib/date';
import { nudge, type Grid } from '@/lib/price';
import type { LevelSheetData } from '@/types/data';
import TouchList from './TouchList.vue';

/** All that is known of one level of the author, each part changed in place. */
const props = defineProps<{ sheet: LevelSheetData; grid: Grid; errors: Record<string, string> }>();
const emit = defineEmits<{
    change: [changes: LevelChanges];
    retire: [];
    restore: [];
    remove: [];
    /** pick a point of the other line of a channel on the chart */
    channel: [];
    done: [];
}>();

const isFlat = computed(() => ['price', 'zone', 'mark'].includes(props.sheet.form));
const hasPoints = computed(() => props.sheet.form === 'line' || props.sheet.form === 'swing');
const grades = [
    { value: 'major', label: 'Major' },
    { value: 'minor', label: 'Minor' },
];

const low = ref('');
const high = ref('');
const origin = ref('');
const note = ref('');
const points = ref<Record<'from' | 'to' | 'parallel', { session: string; price: string }>>({
    from: { session: '', price: '' },
    to: { session: '', price: '' },
    parallel: { session: '', price: '' },
});
watch(() => props.sheet, fill, { immediate: true });

function edgesOf(sheet: LevelSheetData): [string, string] {
    return [sheet.low ?? sheet.price, sheet.high ?? sheet.price];
}

function pointsOf(sheet: LevelSheetData): typeof points.value {
    const none = { session: '', price: '' };
    return { from: { ...(sheet.from ?? none) }, to: { ...(sheet.to ?? none) }, parallel: { ...(sheet.parallel ?? none) } };
}

/** What is being typed stays; the rest follows what is kept. */
function fill(next: LevelSheetData, before?: LevelSheetData): void {
    const [lowBefore, highBefore] = before === undefined ? [low.value, high.value] : edgesOf(before);
    const edges = edgesOf(next);
    if (low.value === lowBefore && high.value === highBefore) {
        [low.value, high.value] = edges;
    }
    if (before === undefined || origin.value === before.origin) origin.value = next.origin;
    if (before === undefined || note.value === before.note) note.value = next.note;
    const pointsBefore = before === undefined ? points.value : pointsOf(before);
    if (JSON.stringify(points.value) === JSON.stringify(pointsBefore)) {
        points.value = pointsOf(next);
    }
}

function keepEdges(): void {
    const one = low.value.trim();
    const other = high.value.trim();
    if (one !== (props.sheet.low ?? props.sheet.price) || other !== (props.sheet.high ?? props.sheet.price)) {
        // a single price that is typed anew moves; two different ones make a zone
        emit('change', one === other && props.sheet.low === null ? { price: one } : { low: one, high: other });
    }
}

/** A single price is typed once: the other edge follows until it differs. */
function typedLow(value: string | undefined): void {
    if (props.sheet.low === null && high.value === low.value) {
        high.value = value ?? '';
    }
    low.value = value ?? '';
}

function step(edge: 'low' | 'high', ticks: number): void {
    const target = edge === 'low' ? low : high;
    target.value = nudge(target.value, ticks, props.grid);
    if (edge === 'low' && props.sheet.low === null) {
        high.value = low.value;
    }
    keepEdges();
}

function keepPoint(which: 'from' | 'to' | 'parallel'): void {
    const point = points.value[which];
    const was = props.sheet[which];
    if (point.session !== '' && point.price.trim() !== '' && (point.session !== was?.session || point.price !== was.price)) {
        emit('change', { [which]: { session: point.session, price: point.price.trim() } });
    }
}

function keepText(): void {
    if (origin.value.trim() !== '' && origin.value !== props.sheet.origin) emit('change', { origin: origin.value });
    if (note.value !== props.sheet.note) emit('change', { note: note.value });
}

const names = { from: 'From', to: 'To', parallel: 'Channel through' };
const error = computed(() => Object.values(props.errors)[0]);
</script>

<template>
    <section class="sheet" aria-label="Level" @keydown.esc.stop="emit('done')">
        <div v-if="isFlat" class="edges">
            <label for="edge-low">{{ sheet.low === null ? 'Price' : 'From' }}</label>
            <InputText
                id="edge-low"
                :model-value="low"
                size="small"
                inputmode="decimal"
                autocomplete="off"
                @update:model-value="typedLow"
                @blur="keepEdges"
                @keydown.enter="keepEdges"
                @keydown.up.prevent="step('low', $event.shiftKey ? 10 : 1)"
                @keydown.down.prevent="step('low', $event.shiftKey ? -10 : -1)"
            />
            <label for="edge-high">to</label>
            <InputText
                id="edge-high"
                v-model="high"
                size="small"
                inputmode="decimal"
                autocomplete="off"
                title="A different price makes it a zone"
                @blur="keepEdges"
                @keydown.enter="keepEdges"
                @keydown.up.prevent="step('high', $event.shiftKey ? 10 : 1)"
                @keydown.down.prevent="step('high', $event.shiftKey ? -10 : -1)"
            />
        </div>
        <template v-else-if="hasPoints">
            <div
                v-for="which in (sheet.form === 'line' ? ['from', 'to', 'parallel'] : ['from', 'to']) as (
                    'from' | 'to' | 'parallel'
                )[]"
                :key="which"
                class="point"
            >
                <label :for="`point-${which}`">{{ names[which] }}</label>
                <DatePicker
                    :model-value="dayOf(points[which].session)"
                    date-format="d M yy"
                    size="small"
                    input-class="day"
                    :aria-label="`${names[which]}: session`"
                    @update:model-value="((points[which].session = iso($event) ?? ''), keepPoint(which))"
                />
                <InputText
                    :id="`point-${which}`"
                    v-model="points[which].price"
                    size="small"
                    inputmode="decimal"
                    autocomplete="off"
                    @blur="keepPoint(which)"
                    @keydown.enter="keepPoint(which)"
                />
            </div>
            <div v-if="sheet.form === 'line'" class="options">
                <label class="seen"
                    ><Checkbox
                        :model-value="sheet.logarithmic"
                        binary
                        @update:model-value="emit('change', { logarithmic: $event })"
                    />
                    logarithmic</label
                >
                <Button label="Pick the channel" size="small" text severity="secondary" @click="emit('channel')" />
                <Button
                    v-if="sheet.parallel"
                    label="No channel"
                    size="small"
                    text
                    severity="secondary"
                    @click="emit('change', { parallel: null })"
                />
            </div>
            <p v-if="sheet.ahead.length > 0" class="ahead">{{ sheet.ahead.join(', ') }}</p>
        </template>
        <div v-else class="average">
            <strong>{{ sheet.words }}</strong>
            <label v-if="sheet.period !== null"
                >over
                <InputNumber
                    :model-value="sheet.period"
                    :min="2"
                    :max="400"
                    size="small"
                    input-class="period"
                    @update:model-value="$event !== null && $event !== sheet.period && emit('change', { period: $event })"
                />
                sessions</label
            >
        </div>
        <p v-if="error" class="error" role="alert">{{ error }}</p>

        <label for="level-origin">Reason</label>
        <InputText id="level-origin" v-model="origin" size="small" maxlength="120" @blur="keepText" @keydown.enter="keepText" />
        <label for="level-note">Note</label>
        <InputText
            id="level-note"
            v-model="note"
            size="small"
            maxlength="400"
            placeholder="what to remember"
            @blur="keepText"
            @keydown.enter="keepText"
        />
        <div class="options">
            <SelectButton
                :model-value="sheet.grade"
                :options="grades"
                option-label="label"
                option-value="value"
                :allow-empty="false"
                size="small"
                aria-label="Grade"
                @update:model-value="emit('change', { grade: $event })"
            />
            <label class="seen"
                >seen on
                <Select
                    :model-value="sheet.timeFrame"
                    :options="FRAMES"
                    option-label="label"
                    option-value="value"
                    size="small"
                    aria-label="Time frame it was seen on"
                    @update:model-value="emit('change', { timeFrame: $event })"
                />
            </label>
        </div>

        <dl class="did">
            <dt>Now</dt>
            <dd>{{ sheet.standing }}{{ sheet.retiredBecause ? `: ${sheet.retiredBecause}` : '' }}</dd>
            <dt>How it did</dt>
            <dd>{{ sheet.reaction }}</dd>
            <dt>Marked</dt>
            <dd>
                {{ sheet.markedOn || 'before dates were kept'
                }}{{ sheet.markSession ? `, tied to ${sheet.mark} of ${sheet.markSession}` : '' }}
            </dd>
        </dl>
        <TouchList :touches="sheet.touches" />
        <details>
            <summary>History, {{ sheet.history.length }} {{ sheet.history.length === 1 ? 'entry' : 'entries' }}</summary>
            <ul class="history">
                <li v-for="(change, i) in sheet.history" :key="i">
                    <span class="muted">{{ change.at }}, {{ change.by }}</span> {{ change.what }}
                </li>
            </ul>
        </details>
        <p class="ends">
            <Button
                v-if="sheet.standing === 'retired'"
                label="Restore"
                size="small"
                severity="secondary"
                outlined
                @click="emit('restore')"
            />
            <Button
                v-else
                label="Lay aside"
                size="small"
                severity="secondary"
                text
                title="It is kept, and can be restored"
                @click="emit('retire')"
            />
            <Button label="Delete" size="small" severity="secondary" text @click="emit('remove')" />
        </p>
    </section>
</template>

<style scoped>
.sheet {
    display: grid;
    gap: 4px;
    font-size: 13px;
}
.sheet > label {
    margin-top: 4px;
    font-weight: 600;
}
.edges,
.point,
.options,
.average,
.ends {
    display: flex;
    align-items: center;
    gap: 8px;
}
.edges :deep(input) {
    width: 92px;
    text-align: right;
}
.edges label:first-child,
.point label {
    flex: none;
    width: 48px;
    font-weight: 600;
}
.point label {
    width: 92px;
}
.point :deep(.p-inputtext) {
    width: 84px;
    text-align: right;
}
.point :deep(.day) {
    width: 104px;
    text-align: left;
}
.options {
    flex-wrap: wrap;
    margin-top: 4px;
}
.seen {
    display: inline-flex;
    align-items: center;
    gap: 6px;
    color: var(--ink-2);
}
.average :deep(.period) {
    width: 56px;
    text-align: right;
}
.ahead {
    color: var(--ink-2);
}
.did {
    display: grid;
    grid-template-columns: 72px minmax(0, 1fr);
    gap: 2px 8px;
    margin: 8px 0 4px;
    line-height: 18px;
}
.did dt {
    color: var(--ink-3);
}
.did dd {
    margin: 0;
}
summary {
    color: var(--ink-2);
    cursor: pointer;
}
.history {
    margin: 4px 0;
    padding: 0;
    list-style: none;
    line-height: 18px;
}
.ends {
    justify-content: space-between;
    margin-top: 4px;
}
</style>
