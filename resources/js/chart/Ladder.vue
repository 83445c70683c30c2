<script setup lang="ts">
import InputText from 'primevue/inputtext';
import { computed, nextTick, ref } from 'vue';
import { signed } from '@/lib/price';
import type { LadderRowData, Side } from '@/types/data';
import type { PriceScale } from './scales';
import { spread } from './spread';

/**
 * Every level and plan price on the chart's own price scale, one row each, pushed apart where they would overlap. The
 * place to work: drag a row, nudge it by key, type its price, make it into something else.
 */
const props = defineProps<{
    rows: LadderRowData[];
    y: PriceScale;
    height: number;
    side: Side;
    chosen: string | null;
    moving: string | null;
}>();
const emit = defineEmits<{
    choose: [key: string];
    moveStart: [key: string];
    move: [value: number];
    moveEnd: [];
    set: [row: LadderRowData, price: string];
    use: [row: LadderRowData, as: 'entry' | 'stop' | 'target'];
    remove: [row: LadderRowData];
    /** moved by key */
    nudge: [row: LadderRowData, ticks: number];
    /** a digit was typed: the price of a new level */
    begin: [digit: string];
}>();

const ROW = 23;
const LEAST_ROW = 15;
const LEADER = 26;

// Many rows stand closer; when even that is not enough, the ladder scrolls.
const rowHeight = computed(() =>
    Math.max(LEAST_ROW, Math.min(ROW, Math.floor((props.height / Math.max(1, props.rows.length)) * 2) / 2)),
);
const roomNeeded = computed(() => Math.max(props.height, rowHeight.value * props.rows.length));

const placed = computed(() => {
    const places = spread(
        props.rows.map((row) => Math.max(0, Math.min(props.height, props.y(row.value)))),
        rowHeight.value,
        0,
        roomNeeded.value,
    );
    return props.rows.map((row, i) => {
        const true_y = props.y(row.value);
        return {
            row,
            top: (places[i] ?? 0) - rowHeight.value / 2,
            wanted: Math.max(1, Math.min(props.height - 1, true_y)),
            beyond: true_y < 0 ? 'above' : true_y > props.height ? 'below' : null,
        };
    });
});

const list = ref<HTMLElement>();
const editing = ref<string | null>(null);
const typed = ref('');
const tabStop = computed(() =>
    props.rows.some((row) => row.key === props.chosen) ? props.chosen : (props.rows[0]?.key ?? null),
);

function edit(row: LadderRowData): void {
    if (row.kind === 'last') {
        return;
    }
    editing.value = row.key;
    typed.value = row.price;
    void nextTick(() => list.value?.querySelector<HTMLInputElement>('input.typed')?.select());
}

function keep(row: LadderRowData): void {
    if (editing.value !== row.key) {
        return;
    }
    editing.value = null;
    if (typed.value.trim() !== row.price) {
        emit('set', row, typed.value.trim());
    }
    focusRow(row.key);
}

function focusRow(key: string | null): void {
    void nextTick(() => list.value?.querySelector<HTMLElement>(`[data-key="${key}"]`)?.focus());
}

function key(event: KeyboardEvent, row: LadderRowData, index: number): void {
    if (editing.value !== null || event.ctrlKey || event.metaKey || event.altKey) {
        return;
    }
    const steps = event.shiftKey ? 10 : 1;
    const actions: Record<string, () => void> = {
        ArrowUp: () => move(row, steps),
        ArrowDown: () => move(row, -steps),
        PageUp: () => go(index - 1),
        PageDown: () => go(index + 1),
        Home: () => go(0),
        End: () => go(props.rows.length - 1),
        Enter: () => edit(row),
        e: () => emit('use', row, 'entry'),
        s: () => emit('use', row, 'stop'),
        t: () => emit('use', row, 'target'),
        Delete: () => row.kind !== 'last' && emit('remove', row),
        Backspace: () => row.kind !== 'last' && emit('remove', row),
    };
    if (/^\d$/.test(event.key)) {
        event.preventDefault();
        emit('begin', event.key);
        return;
    }
    const action = actions[event.key];
    if (action !== undefined) {
        event.preventDefault();
        event.stopPropagation();
        action();
    }
}

function go(index: number): void {
    const row = props.rows[Math.max(0, Math.min(props.rows.length - 1, index))];
    if (row !== undefined) {
        emit('choose', row.key);
        focusRow(row.key);
    }
}

function move(row: LadderRowData, ticks: number): void {
    if (row.kind !== 'last') {
        emit('nudge', row, ticks);
    }
}

// A press that moves is a drag; one that does not is a choice.
let start: { y: number; key: string; value: number } | null = null;

function down(event: PointerEvent, row: LadderRowData): void {
    emit('choose', row.key);
    if (event.button !== 0 || row.kind === 'last' || editing.value === row.key) {
        return;
    }
    (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
    start = { y: event.clientY, key: row.key, value: row.value };
}

function over(event: PointerEvent): void {
    if (start === null) {
        return;
    }
    const distance = event.clientY - start.y;
    if (props.moving === null && Math.abs(distance) > 3) {
        emit('moveStart', start.key);
    }
    if (props.moving !== null) {
        emit('move', props.y.invert(props.y(start.value) + distance));
    }
}

function up(): void {
    if (start !== null && props.moving !== null) {
        emit('moveEnd');
    }
    start = null;
}

defineExpose({ focusRow });
</script>

<template>
    <div class="ladder" role="grid" aria-label="Ladder: levels and plan prices, highest first">
        <div class="head" role="row">
            <span role="columnheader">price</span>
            <span role="columnheader" class="origin">what it is</span>
            <span role="columnheader">%</span>
            <span role="columnheader">ATR</span>
            <span role="columnheader">R</span>
        </div>
        <div
            ref="list"
            class="rows"
            role="rowgroup"
            :class="{ tight: rowHeight < 19, scrolls: roomNeeded > height }"
            :style="{ height: `${height}px` }"
        >
            <svg class="leaders" :width="LEADER" :height="roomNeeded" aria-hidden="true">
                <path
                    v-for="{ row, top, wanted } in placed"
                    :key="row.key"
                    :d="`M0,${wanted}h5L${LEADER - 6},${top + rowHeight / 2}h6`"
                    :class="[row.kind, row.grade, `is-${side}`]"
                />
            </svg>
            <div
                v-for="({ row, top, beyond }, index) in placed"
                :key="row.key"
                role="row"
                class="row"
                :class="[row.kind, row.grade, `is-${side}`, { chosen: row.key === chosen, moving: row.key === moving }]"
                :data-key="row.key"
                :style="{ top: `${top}px`, left: `${LEADER}px`, height: `${rowHeight}px`, lineHeight: `${rowHeight - 2}px` }"
                :tabindex="row.key === tabStop ? 0 : -1"
                :aria-selected="row.key === chosen"
                @focus="emit('choose', row.key)"
                @keydown="key($event, row, index)"
                @pointerdown="down($event, row)"
                @pointermove="over"
                @pointerup="up"
                @pointercancel="up"
                @dblclick="edit(row)"
            >
                <span role="gridcell" class="price">
                    <InputText
                        v-if="editing === row.key"
                        v-model="typed"
                        class="typed"
                        size="small"
                        inputmode="decimal"
                        :aria-label="`Price of ${row.label}`"
                        @keydown.enter.stop.prevent="keep(row)"
                        @keydown.esc.stop.prevent="((editing = null), focusRow(row.key))"
                        @blur="keep(row)"
                    />
                    <template v-else>{{ row.price }}</template>
                </span>
                <span role="gridcell" class="origin" :title="row.label"
                    >{{ beyond === null ? '' : beyond === 'above' ? '↑ ' : '↓ ' }}{{ row.label }}</span
                >
                <span role="gridcell">{{ row.kind === 'last' ? '' : signed(row.percent, 1) }}</span>
                <span role="gridcell">{{ row.kind === 'last' ? '' : signed(row.atr) }}</span>
                <span role="gridcell" class="r">{{ row.r === null ? '' : signed(row.r, 1) }}</span>
            </div>
        </div>
    </div>
</template>

<style scoped>
.head,
.row {
    display: grid;
    grid-template-columns: 58px minmax(0, 1fr) 40px 34px 34px;
    column-gap: 5px;
    align-items: center;
}
.head {
    height: 20px;
    padding: 0 6px 0 34px;
    font-size: 12px;
    color: var(--ink-3);
}
.head span:not(.origin) {
    text-align: right;
}
.rows {
    position: relative;
}
.rows.scrolls {
    overflow-y: auto;
}
.rows.tight .row {
    font-size: 12px;
}
.leaders {
    position: absolute;
    inset: 0 auto auto 0;
}
.leaders path {
    fill: none;
    stroke: var(--hair-2);
    stroke-width: 1;
}
.leaders path.major {
    stroke: var(--ink-2);
}
.leaders path.last {
    stroke: var(--look);
}
.leaders path.stop,
.leaders path.cancel {
    stroke: var(--stop);
}
.leaders path.entry.is-long,
.leaders path.target.is-long {
    stroke: var(--long);
}
.leaders path.entry.is-short,
.leaders path.target.is-short {
    stroke: var(--short);
}
.row {
    position: absolute;
    right: 0;
    padding: 0 6px;
    border-left: 2px solid var(--hair-2);
    font-size: 13px;
    cursor: ns-resize;
    touch-action: none;
    user-select: none;
}
.row span {
    text-align: right;
    white-space: nowrap;
}
.row .origin {
    text-align: left;
    overflow: hidden;
    text-overflow: ellipsis;
    color: var(--ink-2);
}
.row.major {
    border-left-width: 4px;
    border-color: var(--ink);
}
.row.major .price {
    font-weight: 650;
}
.row.last {
    cursor: default;
    border-color: var(--look);
    background: var(--look-wash);
}
.row.stop,
.row.cancel {
    border-color: var(--stop);
}
.row.stop .price,
.row.stop .origin,
.row.cancel .origin {
    color: var(--stop);
    font-weight: 650;
}
.row.entry.is-long,
.row.target.is-long {
    border-color: var(--long);
}
.row.entry.is-short,
.row.target.is-short {
    border-color: var(--short);
}
.is-long.entry .price,
.is-long.target .price,
.is-long.entry .origin,
.is-long.target .origin {
    color: var(--long);
    font-weight: 650;
}
.is-short.entry .price,
.is-short.target .price,
.is-short.entry .origin,
.is-short.target .origin {
    color: var(--short);
    font-weight: 650;
}
.row:hover {
    background: var(--wash);
}
.row.chosen {
    background: var(--wash);
    box-shadow:
        inset 0 -1px 0 var(--ink-2),
        inset 0 1px 0 var(--ink-2);
}
.row.moving {
    opacity: 0.85;
    z-index: 2;
}
.r {
    font-weight: 600;
}
.typed {
    width: 74px;
    height: 21px;
    text-align: right;
}
</style>
