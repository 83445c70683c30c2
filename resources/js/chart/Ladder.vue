<script setup lang="ts">
import InputText from 'primevue/inputtext';
import { computed, nextTick, ref } from 'vue';
import { signed } from '@/lib/price';
import type { LadderRowData, Side } from '@/types/data';
import { groupRows, type LadderItem } from './groups';
import { nearest } from './layers';
import type { Motion } from './live';
import MovingRow from './MovingRow.vue';
import type { PriceScale } from './scales';
import { spread } from './spread';

/**
 * The ladder: one row for each level and plan price, on the scale of the chart, pushed apart so that none overlaps.
 * Where there is no room for all, levels of the cross-check stand together until they are opened. Its first and last
 * line tell the next levels above and below price.
 */
const props = defineProps<{
    rows: LadderRowData[];
    y: PriceScale;
    height: number;
    side: Side;
    chosen: string | null;
    moving: string | null;
    motion?: Motion | null;
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
    /** all that is known of a level */
    open: [row: LadderRowData];
    /** take a found level over */
    adopt: [row: LadderRowData];
}>();

const ROW = 22;
const LEAST_ROW = 15;
const LEADER = 26;

const opened = ref<Set<string>>(new Set());
const domain = computed<[number, number]>(() => {
    const [low = 0, high = 0] = props.y.domain();
    return [low, high];
});
const items = computed(() => groupRows(props.rows, domain.value, Math.floor(props.height / ROW), props.chosen, opened.value));
const near = computed(() => nearest(props.rows));

// Many rows stand closer; when even that is not enough, the ladder scrolls.
const rowHeight = computed(() =>
    Math.max(LEAST_ROW, Math.min(ROW, Math.floor((props.height / Math.max(1, items.value.length)) * 2) / 2)),
);
const roomNeeded = computed(() => Math.max(props.height, rowHeight.value * items.value.length));

const placed = computed(() => {
    const places = spread(
        items.value.map(({ row }) => Math.max(0, Math.min(props.height, props.y(row.value)))),
        rowHeight.value,
        0,
        roomNeeded.value,
    );
    return items.value.map((item, i) => {
        const true_y = props.y(item.row.value);
        return {
            item,
            row: item.row,
            isGroup: item.rows.length > 1,
            top: (places[i] ?? 0) - rowHeight.value / 2,
            wanted: Math.max(1, Math.min(props.height - 1, true_y)),
            beyond: true_y < 0 ? 'above' : true_y > props.height ? 'below' : null,
        };
    });
});

const hasR = computed(() => props.rows.some((row) => row.r !== null));
const list = ref<HTMLElement>();
const editing = ref<string | null>(null);
const typed = ref('');
const tabStop = computed(() =>
    items.value.some((item) => item.key === props.chosen) ? props.chosen : (items.value[0]?.key ?? null),
);

function edit(row: LadderRowData): void {
    if (!row.movable) {
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

function toggle(item: LadderItem): void {
    const next = new Set(opened.value);
    if (!next.delete(item.key)) {
        next.add(item.key);
    }
    opened.value = next;
    focusRow(item.key);
}

function enter(item: LadderItem): void {
    if (item.rows.length > 1) {
        toggle(item);
    } else if (item.row.kind === 'level' || item.row.kind === 'found') {
        emit('open', item.row);
    } else {
        edit(item.row);
    }
}

function key(event: KeyboardEvent, item: LadderItem, index: number): void {
    if (editing.value !== null || event.ctrlKey || event.metaKey) {
        return;
    }
    const { row } = item;
    const isGroup = item.rows.length > 1;
    const ticks = event.shiftKey ? 10 : 1;
    const plain: Record<string, () => void> = {
        ArrowUp: () => go(index - 1),
        ArrowDown: () => go(index + 1),
        PageUp: () => go(step(index, -1)),
        PageDown: () => go(step(index, 1)),
        Home: () => go(0),
        End: () => go(items.value.length - 1),
        Enter: () => enter(item),
        F2: () => edit(row),
        e: () => !isGroup && emit('use', row, 'entry'),
        s: () => !isGroup && emit('use', row, 'stop'),
        t: () => !isGroup && emit('use', row, 'target'),
        a: () => !isGroup && row.kind === 'found' && emit('adopt', row),
        Delete: () => deletable(row) && emit('remove', row),
        Backspace: () => deletable(row) && emit('remove', row),
    };
    const withAlt: Record<string, () => void> = {
        ArrowUp: () => row.movable && emit('nudge', row, ticks),
        ArrowDown: () => row.movable && emit('nudge', row, -ticks),
    };
    if (/^\d$/.test(event.key) && !event.altKey) {
        event.preventDefault();
        emit('begin', event.key);
        return;
    }
    const action = (event.altKey ? withAlt : plain)[event.key];
    if (action !== undefined) {
        event.preventDefault();
        event.stopPropagation();
        action();
    }
}

/** The next row that is the author's own, at another price: a level, or a price of the plan. */
function step(from: number, way: 1 | -1): number {
    const here = items.value[from]?.row.price;
    const isNext = ({ row }: LadderItem): boolean => row.kind !== 'found' && row.kind !== 'last' && row.price !== here;
    for (let at = from + way; at >= 0 && at < items.value.length; at += way) {
        const item = items.value[at];
        if (item !== undefined && isNext(item)) {
            return at;
        }
    }
    return from;
}

function deletable(row: LadderRowData): boolean {
    return row.kind !== 'last' && row.kind !== 'found';
}

function go(index: number): void {
    const item = items.value[Math.max(0, Math.min(items.value.length - 1, index))];
    if (item !== undefined) {
        choose(item);
        focusRow(item.key);
    }
}

function choose(item: LadderItem): void {
    emit('choose', item.key);
}

/** Choose one of the nearest levels. */
function reach(row: LadderRowData | null): void {
    if (row !== null) {
        emit('choose', row.key);
        focusRow(row.key);
    }
}

// A press that moves is a drag; one that does not is a choice.
let start: { y: number; key: string; value: number } | null = null;

function down(event: PointerEvent, item: LadderItem): void {
    choose(item);
    if (event.button !== 0 || !item.row.movable || item.rows.length > 1 || editing.value === item.key) {
        return;
    }
    (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
    start = { y: event.clientY, key: item.row.key, value: item.row.value };
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

function told(row: LadderRowData): string {
    return [row.span, row.label, row.standing === null || row.standing === 'active' ? '' : row.standing]
        .filter((part) => part !== '')
        .join(', ');
}

defineExpose({ focusRow });
</script>

<template>
    <div class="ladder" :class="{ 'without-r': !hasR }">
        <button type="button" class="near" tabindex="-1" @click="reach(near.above)">
            <template v-if="near.above">
                <b>↑ {{ near.above.price }}</b>
                <span class="origin">{{ near.above.label }}</span>
                <span>{{ signed(near.above.percent, 1) }}</span>
                <span>{{ signed(near.above.atr) }}</span>
            </template>
            <span v-else class="free">nothing shown above: free air</span>
        </button>
        <div role="treegrid" aria-label="Ladder: levels and plan prices, highest first">
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
                        v-for="{ item, row, top, wanted } in placed"
                        :key="item.key"
                        :d="`M0,${wanted}h5L${LEADER - 6},${top + rowHeight / 2}h6`"
                        :class="[row.kind, row.grade, `is-${side}`]"
                    />
                </svg>
                <MovingRow
                    v-if="motion && moving !== null"
                    :motion="motion"
                    :y="y"
                    :height="height"
                    :row-height="rowHeight"
                    :left="LEADER"
                    :side="side"
                />
                <div
                    v-for="({ item, row, isGroup, top, beyond }, index) in placed"
                    :key="item.key"
                    role="row"
                    class="row"
                    :class="[
                        row.kind,
                        row.grade,
                        `is-${side}`,
                        { chosen: item.key === chosen, moving: row.key === moving, group: isGroup, fixed: !row.movable },
                    ]"
                    :data-key="item.key"
                    :style="{ top: `${top}px`, left: `${LEADER}px`, height: `${rowHeight}px`, lineHeight: `${rowHeight - 2}px` }"
                    :tabindex="item.key === tabStop ? 0 : -1"
                    :aria-selected="item.key === chosen"
                    :aria-expanded="isGroup ? item.opened : undefined"
                    @focus="choose(item)"
                    @keydown="key($event, item, index)"
                    @pointerdown="down($event, item)"
                    @pointermove="over"
                    @pointerup="up"
                    @pointercancel="up"
                    @dblclick="isGroup ? toggle(item) : row.kind === 'found' ? emit('open', row) : edit(row)"
                >
                    <template v-if="isGroup">
                        <span role="gridcell" class="price">{{ row.price }}</span>
                        <span role="gridcell" class="origin many"
                            >{{ item.opened ? '▾' : '▸' }} {{ item.rows.length }} found{{
                                beyond === null ? '' : beyond === 'above' ? ' above the scale' : ' below the scale'
                            }}</span
                        >
                        <span role="gridcell">{{ signed(row.percent, 1) }}</span>
                        <span role="gridcell">{{ signed(row.atr) }}</span>
                        <span role="gridcell" class="r"></span>
                    </template>
                    <template v-else>
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
                        <span role="gridcell" class="origin" :title="told(row)"
                            ><i
                                v-if="row.agreement === 'agrees'"
                                class="agrees"
                                :title="row.kind === 'found' ? 'agrees with a level of yours' : 'the cross-check agrees'"
                                >≈</i
                            ><i v-if="row.standing === 'broken'" class="standing" title="broken">✕ </i
                            ><i v-if="row.standing === 'role changed'" class="standing" title="role changed">⇄ </i
                            >{{ beyond === null ? '' : beyond === 'above' ? '↑ ' : '↓ ' }}{{ row.label
                            }}<small v-if="row.timeFrame !== null && row.timeFrame !== '1d'" class="frame">
                                {{ row.timeFrame }}</small
                            ></span
                        >
                        <span role="gridcell">{{ row.kind === 'last' ? '' : signed(row.percent, 1) }}</span>
                        <span role="gridcell">{{ row.kind === 'last' ? '' : signed(row.atr) }}</span>
                        <span role="gridcell" class="r">{{ row.r === null ? '' : signed(row.r, 1) }}</span>
                    </template>
                </div>
            </div>
        </div>
        <button type="button" class="near below" tabindex="-1" @click="reach(near.below)">
            <template v-if="near.below">
                <b>↓ {{ near.below.price }}</b>
                <span class="origin">{{ near.below.label }}</span>
                <span>{{ signed(near.below.percent, 1) }}</span>
                <span>{{ signed(near.below.atr) }}</span>
            </template>
            <span v-else class="free">nothing shown below</span>
        </button>
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
    contain: strict;
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
    --under: var(--paper);
    position: absolute;
    right: 0;
    padding: 0 6px;
    border-left: 2px solid var(--hair-2);
    background: var(--under);
    font-size: 13px;
    cursor: ns-resize;
    touch-action: none;
    user-select: none;
}
.row span {
    text-align: right;
    white-space: nowrap;
}
/* A long text runs out under the figures that follow it. A clip of its own in every row would do the same, but costs a
   third of each frame in which something is dragged. */
.row .origin {
    text-align: left;
    color: var(--ink-2);
}
.row .origin ~ span {
    align-self: stretch;
    margin: 1px 0 1px -5px;
    background: var(--under);
}
.row .origin ~ span:last-child {
    margin-right: -6px;
    padding-right: 6px;
}
.row .origin + span {
    margin-left: -14px;
    background: linear-gradient(to right, transparent, var(--under) 14px);
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
    --under: var(--look-wash);
    border-color: var(--look);
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
    --under: var(--wash);
}
.row.chosen {
    --under: var(--wash);
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
.near {
    display: grid;
    grid-template-columns: 84px minmax(0, 1fr) 40px 34px 34px;
    column-gap: 5px;
    width: 100%;
    height: 22px;
    padding: 0 6px 0 8px;
    border: 0;
    border-bottom: 1px solid var(--hair);
    background: none;
    color: var(--ink-2);
    font-size: 13px;
    line-height: 20px;
    text-align: right;
    cursor: pointer;
}
.near.below {
    border-bottom: 0;
    border-top: 1px solid var(--hair);
}
.near b {
    font-weight: 650;
    color: var(--ink);
    text-align: left;
}
.near .origin {
    overflow: hidden;
    text-align: left;
    text-overflow: ellipsis;
    white-space: nowrap;
}
.near .free {
    grid-column: 1 / -1;
    text-align: left;
    color: var(--ink-3);
}
.row.found {
    border-left-style: dashed;
    border-left-color: var(--hair-2);
}
.row.found .price,
.row.found .origin {
    color: var(--ink-3);
    font-weight: 400;
}
.row.found.major .price {
    color: var(--ink-2);
    font-weight: 600;
}
.row.moving {
    opacity: 0.45;
}
.row.fixed {
    cursor: default;
}
.row.group {
    cursor: pointer;
}
.origin .many,
.origin.many {
    font-style: italic;
}
.origin i {
    font-style: normal;
}
.agrees {
    padding-right: 3px;
    color: var(--ink);
    font-weight: 700;
}
.origin .frame {
    color: var(--ink-3);
    font-size: 11px;
}
.without-r .head,
.without-r .row {
    grid-template-columns: 58px minmax(0, 1fr) 40px 34px 0;
}
.without-r .near {
    grid-template-columns: 84px minmax(0, 1fr) 40px 34px 0;
}
.without-r .head span:last-child {
    visibility: hidden;
}
.row.found .origin {
    font-size: 12px;
}
</style>
