<script setup lang="ts">
import { computed, ref, useId } from 'vue';
import type { ChartData, RScaleData } from '@/types/data';
import { FRAMES } from './frames';
import type { ChartMark, PriceLine } from './lines';
import { barScale, dateMarks, rTicks, type PriceScale, type Window } from './scales';
import { averagePath, candles, volumeBars } from './shapes';
import { spread } from './spread';

/**
 * The day chart: price in ink, levels as lines, the plan in colour. It draws and turns pixels into prices; every
 * figure comes from the server.
 */
const props = withDefaults(
    defineProps<{
        chart: ChartData;
        window: Window;
        y: PriceScale;
        width: number;
        height: number;
        lines: PriceLine[];
        scale: RScaleData | null;
        name: string;
        /** with an axis of prices, or for print with a tag for each line */
        tags?: boolean;
        interactive?: boolean;
        marks?: ChartMark[];
        /** key of the line that is chosen elsewhere */
        chosen?: string | null;
        /** key of the line being moved */
        moving?: string | null;
    }>(),
    { tags: false, interactive: false, marks: () => [], chosen: null, moving: null },
);
const emit = defineEmits<{
    place: [value: number];
    choose: [key: string];
    moveStart: [key: string];
    move: [value: number];
    moveEnd: [];
    zoom: [factor: number];
    pan: [bars: number];
}>();

const DATE_AXIS = 20;
const R_GUTTER = 40;
/** How near the pointer must be to take hold of a line, in pixels. */
const GRIP = 4;
const volumeShare = 0.14;
const clip = useId();

const gutter = computed(() => (props.tags ? 118 : 64) + (props.scale === null ? 0 : props.tags ? 0 : R_GUTTER));
const plotWidth = computed(() => Math.max(120, props.width - gutter.value));
const plotHeight = computed(() => props.height - DATE_AXIS);
const bars = computed(() => barScale(props.window, plotWidth.value));
const shapes = computed(() => candles(props.chart, props.window, bars.value.x, props.y, bars.value.slot));
const volumes = computed(() =>
    volumeBars(props.chart, props.window, bars.value.x, bars.value.slot, plotHeight.value * volumeShare),
);
const averages = computed(() =>
    props.chart.averages.map((average) => ({
        name: average.name,
        path: averagePath(average.values, props.window, bars.value.x, props.y),
        end: average.values[props.window.last] ?? null,
    })),
);
const months = computed(() => dateMarks(props.chart, props.window, bars.value.slot));
const longer = computed(() => ['1w', '1mo', '3mo'].includes(props.chart.timeFrame));
const frameName = computed(() => FRAMES.find((frame) => frame.value === props.chart.timeFrame)?.name ?? '');
const priceTicks = computed(() => props.y.ticks(Math.max(3, Math.floor(plotHeight.value / 64))));
const rMarks = computed(() => (props.scale === null ? [] : rTicks(props.y, props.scale.entry, props.scale.stop)));
// levels first, so that the plan is drawn over them
const visible = computed(() =>
    props.lines.filter((line) => inView(line.value)).sort((a, b) => Number(b.kind === 'level') - Number(a.kind === 'level')),
);
const nameEnds = computed(() => {
    const ends = averages.value.filter((one): one is typeof one & { end: number } => one.end !== null && inView(one.end));
    const sorted = [...ends].sort((a, b) => props.y(a.end) - props.y(b.end));
    const places = spread(
        sorted.map((one) => props.y(one.end)),
        13,
        0,
        plotHeight.value,
    );
    return sorted.map((one, i) => ({ name: one.name, y: places[i] ?? 0 }));
});
const tagRows = computed(() => {
    const sorted = visible.value.filter((line) => line.kind !== 'last').sort((a, b) => props.y(a.value) - props.y(b.value));
    const places = spread(
        sorted.map((line) => props.y(line.value)),
        15,
        2,
        plotHeight.value,
    );
    return sorted.map((line, i) => ({ line, y: places[i] ?? 0 }));
});
const published = computed(() => {
    const after = props.chart.publishedAfter;
    return after === null || after < props.window.first || after >= props.window.last
        ? null
        : bars.value.x(after) + bars.value.slot / 2;
});
const events = computed(() =>
    props.marks
        .map((mark) => ({ ...mark, index: props.chart.sessions.indexOf(mark.session) }))
        .filter((mark) => mark.index >= props.window.first && mark.index <= props.window.last),
);

const hover = ref<{ index: number; y: number } | null>(null);
const ghost = ref<number | null>(null);
const shown = computed(() => Math.min(hover.value?.index ?? props.window.last, props.chart.sessions.length - 1));
const reading = computed(() => {
    const i = shown.value;
    const c = props.chart;
    const close = c.close[i] ?? 0;
    const before = c.close[i - 1];
    return {
        date: new Date(`${c.sessions[i]}T12:00:00Z`).toLocaleDateString('en-GB', {
            weekday: 'short',
            day: 'numeric',
            month: 'short',
            year: 'numeric',
            timeZone: 'UTC',
        }),
        time: c.times[i] ?? null,
        open: figure(c.open[i]),
        high: figure(c.high[i]),
        low: figure(c.low[i]),
        close: figure(close),
        change: before === undefined || before === 0 ? null : (close / before - 1) * 100,
        volume: (c.volume[i] ?? 0).toLocaleString('en-GB'),
        unfinished: c.unfinished && i === c.sessions.length - 1,
    };
});

function inView(value: number): boolean {
    const at = props.y(value);
    return at >= -1 && at <= plotHeight.value + 1;
}

function figure(value: number | undefined): string {
    return value === undefined ? '' : value.toFixed(props.chart.decimals);
}

function at(event: PointerEvent): { x: number; y: number } {
    const box = (event.currentTarget as Element).closest('svg')?.getBoundingClientRect() ?? new DOMRect();
    return { x: event.clientX - box.left, y: event.clientY - box.top };
}

function down(event: PointerEvent): void {
    if (!props.interactive || event.button !== 0) {
        return;
    }
    const { x, y } = at(event);
    if (x > plotWidth.value || y > plotHeight.value) {
        return;
    }
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    const line = nearest(y);
    if (line !== null) {
        emit('choose', line.key);
        emit('moveStart', line.key);
    } else {
        ghost.value = y;
    }
}

function over(event: PointerEvent): void {
    const { x, y } = at(event);
    hover.value =
        x <= plotWidth.value && y <= plotHeight.value
            ? {
                  index: Math.max(
                      props.window.first,
                      Math.min(props.window.last, Math.round(x / bars.value.slot) - 1 + props.window.first),
                  ),
                  y,
              }
            : null;
    if (props.moving !== null && event.buttons === 1) {
        emit('move', props.y.invert(Math.max(0, Math.min(plotHeight.value, y))));
    } else if (ghost.value !== null) {
        ghost.value = Math.max(0, Math.min(plotHeight.value, y));
    }
}

function up(): void {
    if (props.moving !== null) {
        emit('moveEnd');
    } else if (ghost.value !== null) {
        emit('place', props.y.invert(ghost.value));
    }
    ghost.value = null;
}

/** The movable line under the pointer; a plan price before the level it may have been made from. */
function nearest(y: number): PriceLine | null {
    const reach = (line: PriceLine): number => Math.abs(props.y(line.value) - y);
    const within = visible.value.filter((line) => line.movable && reach(line) <= GRIP);
    within.sort((a, b) => Number(a.kind === 'level') - Number(b.kind === 'level') || reach(a) - reach(b));
    return within[0] ?? null;
}

const overLine = computed(() => hover.value !== null && props.interactive && nearest(hover.value.y) !== null);

function wheel(event: WheelEvent): void {
    if (Math.abs(event.deltaX) > Math.abs(event.deltaY) || event.shiftKey) {
        emit('pan', Math.sign(event.deltaX || event.deltaY) * 5);
    } else {
        emit('zoom', event.deltaY > 0 ? 1.15 : 1 / 1.15);
    }
}
</script>

<template>
    <figure class="chart">
        <figcaption v-if="!tags" class="reading">
            <strong
                >{{ longer ? `${frameName} from ` : '' }}{{ reading.date }}{{ reading.time ? `, ${reading.time}` : '' }}</strong
            >
            <span v-if="reading.time">{{ frameName }}</span>
            <span v-if="reading.unfinished" class="look">under way</span>
            <span>O {{ reading.open }}</span>
            <span>H {{ reading.high }}</span>
            <span>L {{ reading.low }}</span>
            <span>C {{ reading.close }}</span>
            <span v-if="reading.change !== null"
                >{{ reading.change >= 0 ? '+' : '−' }}{{ Math.abs(reading.change).toFixed(2) }} %</span
            >
            <span v-if="chart.volume.some((v) => v > 0)">volume {{ reading.volume }}</span>
        </figcaption>
        <svg
            :width="width"
            :height="height"
            :viewBox="`0 0 ${width} ${height}`"
            role="img"
            :aria-label="`Chart of ${name}, one bar for each ${frameName}. The same figures stand in the table that follows.`"
            :class="{ interactive, 'over-line': overLine || moving !== null }"
            @pointerdown="down"
            @pointermove="over"
            @pointerup="up"
            @pointercancel="ghost = null"
            @pointerleave="hover = null"
            @wheel.prevent="interactive && wheel($event)"
        >
            <defs>
                <clipPath :id="clip"><rect :width="plotWidth" :height="plotHeight" /></clipPath>
            </defs>
            <g class="months">
                <template v-for="month in months" :key="month.index">
                    <line
                        :x1="bars.x(month.index) - bars.slot / 2"
                        :x2="bars.x(month.index) - bars.slot / 2"
                        y1="0"
                        :y2="plotHeight"
                    />
                    <text :x="bars.x(month.index) - bars.slot / 2 + 3" :y="height - 6">{{ month.label }}</text>
                </template>
            </g>
            <g v-if="!tags" class="axis">
                <template v-for="tick in priceTicks" :key="tick">
                    <line x1="0" :x2="plotWidth + 4" :y1="y(tick)" :y2="y(tick)" />
                    <text :x="plotWidth + 60" :y="y(tick) + 4" text-anchor="end">{{ tick.toFixed(chart.decimals) }}</text>
                </template>
            </g>
            <line class="frame" :x1="plotWidth" :x2="plotWidth" y1="0" :y2="plotHeight" />
            <line class="frame" x1="0" :x2="plotWidth" :y1="plotHeight" :y2="plotHeight" />
            <g :clip-path="`url(#${clip})`">
                <rect
                    v-for="(bar, i) in volumes"
                    :key="`v${i}`"
                    class="volume"
                    :x="bar.x"
                    :width="bar.width"
                    :y="plotHeight - bar.height"
                    :height="bar.height"
                />
                <path
                    v-for="(average, i) in averages"
                    :key="average.name"
                    class="average"
                    :class="`average-${i}`"
                    :d="average.path"
                />
                <g v-for="line in visible" :key="line.key">
                    <line
                        x1="0"
                        :x2="plotWidth"
                        :y1="y(line.value)"
                        :y2="y(line.value)"
                        class="line"
                        :class="[line.kind, line.grade, line.side, { chosen: line.key === chosen }]"
                    />
                </g>
                <g class="candles">
                    <template v-for="candle in shapes" :key="candle.index">
                        <path :d="candle.wick" />
                        <rect
                            :x="candle.x"
                            :y="candle.bodyTop"
                            :width="candle.width"
                            :height="candle.bodyHeight"
                            :class="{
                                rising: candle.rising,
                                unfinished: chart.unfinished && candle.index === chart.sessions.length - 1,
                            }"
                        />
                    </template>
                </g>
                <g v-for="(mark, i) in events" :key="`m${i}`" class="event" :class="mark.kind">
                    <title>{{ mark.label }}</title>
                    <path v-if="mark.kind === 'fill'" :d="`M${bars.x(mark.index) - 9},${y(mark.value) - 5}l8,5l-8,5z`" />
                    <path v-else :d="`M${bars.x(mark.index) + 2},${y(mark.value) - 4}l8,8m0,-8l-8,8`" />
                </g>
                <line v-if="ghost !== null" class="ghost" x1="0" :x2="plotWidth" :y1="ghost" :y2="ghost" />
            </g>
            <g v-if="published !== null" class="published">
                <line :x1="published" :x2="published" y1="0" :y2="plotHeight" />
                <text :x="published - 4" y="11" text-anchor="end">published</text>
            </g>
            <g v-if="!tags && hover !== null && moving === null" class="cross" aria-hidden="true">
                <line :x1="bars.x(hover.index)" :x2="bars.x(hover.index)" y1="0" :y2="plotHeight" />
                <line x1="0" :x2="plotWidth" :y1="hover.y" :y2="hover.y" />
                <rect :x="plotWidth + 1" :y="hover.y - 9" width="62" height="18" />
                <text :x="plotWidth + 60" :y="hover.y + 4" text-anchor="end">{{ figure(y.invert(hover.y)) }}</text>
            </g>
            <text
                v-for="end in nameEnds"
                :key="end.name"
                class="average-name"
                :x="plotWidth - 4"
                :y="end.y - 4"
                text-anchor="end"
            >
                {{ end.name }}
            </text>
            <g v-if="!tags && scale !== null" class="r-axis">
                <line :x1="plotWidth + 68" :x2="plotWidth + 68" y1="0" :y2="plotHeight" />
                <template v-for="mark in rMarks" :key="mark.r">
                    <line :x1="plotWidth + 65" :x2="plotWidth + 71" :y1="y(mark.price)" :y2="y(mark.price)" />
                    <text :x="plotWidth + 102" :y="y(mark.price) + 4" text-anchor="end">
                        {{ mark.r > 0 ? '+' : mark.r < 0 ? '−' : '' }}{{ Math.abs(mark.r) }} R
                    </text>
                </template>
            </g>
            <g v-if="tags" class="tags">
                <template v-for="row in tagRows" :key="row.line.key">
                    <path
                        :d="`M${plotWidth},${y(row.line.value)}L${plotWidth + 8},${row.y}`"
                        :class="[row.line.kind, row.line.side]"
                    />
                    <text :x="plotWidth + 11" :y="row.y + 4" :class="[row.line.kind, row.line.side, row.line.grade]">
                        {{ row.line.price }} {{ row.line.label }}
                    </text>
                </template>
            </g>
        </svg>
        <table class="visually-hidden">
            <caption>
                {{
                    name
                }}: the bars shown
            </caption>
            <thead>
                <tr>
                    <th>Session</th>
                    <th>Open</th>
                    <th>High</th>
                    <th>Low</th>
                    <th>Close</th>
                    <th>Volume</th>
                </tr>
            </thead>
            <tbody>
                <tr v-for="candle in shapes.slice(-30)" :key="candle.index">
                    <td>{{ chart.sessions[candle.index] }}</td>
                    <td>{{ figure(chart.open[candle.index]) }}</td>
                    <td>{{ figure(chart.high[candle.index]) }}</td>
                    <td>{{ figure(chart.low[candle.index]) }}</td>
                    <td>{{ figure(chart.close[candle.index]) }}</td>
                    <td>{{ chart.volume[candle.index] }}</td>
                </tr>
            </tbody>
        </table>
    </figure>
</template>

<style scoped>
.chart {
    position: relative;
    margin: 0;
}
.reading {
    display: flex;
    flex-wrap: nowrap;
    gap: 10px;
    height: 20px;
    overflow: hidden;
    white-space: nowrap;
    font-size: 13px;
    color: var(--ink-2);
}
.reading strong {
    color: var(--ink);
}
svg {
    display: block;
    touch-action: pan-y;
    user-select: none;
}
svg.interactive {
    cursor: crosshair;
    touch-action: none;
}
svg.over-line {
    cursor: ns-resize;
}
text {
    font-size: 12px;
    fill: var(--ink-2);
}
.months line,
.axis line {
    stroke: var(--hair);
    stroke-width: 1;
    shape-rendering: crispEdges;
}
.months line {
    stroke-dasharray: 1 3;
}
.frame {
    stroke: var(--hair-2);
    shape-rendering: crispEdges;
}
.volume {
    fill: var(--volume);
}
.average {
    fill: none;
    stroke: var(--ink-3);
    stroke-width: 1.2;
}
.average-1 {
    stroke-width: 1.6;
    stroke-dasharray: 7 3 1.5 3;
}
.average-name {
    font-size: 11px;
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
}
.line {
    stroke: var(--ink-3);
    stroke-width: 1;
}
.line.major {
    stroke: var(--ink);
    stroke-width: 2;
}
.line.last {
    stroke: var(--look);
    stroke-dasharray: 1 3;
}
.line.entry,
.line.target {
    stroke-width: 1.8;
}
.line.entry.long,
.line.target.long {
    stroke: var(--long);
}
.line.entry.short,
.line.target.short {
    stroke: var(--short);
}
.line.target {
    stroke-dasharray: 7 4;
}
.line.stop {
    stroke: var(--stop);
    stroke-width: 1.8;
}
.line.cancel {
    stroke: var(--stop);
    stroke-dasharray: 2 4;
}
.line.chosen {
    stroke-width: 3;
}
.candles path {
    stroke: var(--ink);
    stroke-width: 1;
    fill: none;
}
.candles rect {
    stroke: var(--ink);
    stroke-width: 1;
    fill: var(--ink);
}
.candles rect.rising {
    fill: var(--paper);
}
.candles rect.unfinished {
    stroke-dasharray: 2 1.5;
}
.ghost {
    stroke: var(--ink);
    stroke-width: 1.5;
    stroke-dasharray: 4 3;
}
.cross line {
    stroke: var(--ink-3);
    stroke-dasharray: 2 3;
}
.cross rect {
    fill: var(--ink);
}
.cross text {
    fill: var(--paper);
}
.published line {
    stroke: var(--look);
    stroke-dasharray: 3 3;
}
.published text {
    font-size: 11px;
    fill: var(--look);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
}
.event path {
    stroke: var(--paper);
    stroke-width: 1;
    fill: var(--ink);
    paint-order: stroke;
}
.event.exit path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2.2;
}
.r-axis line {
    stroke: var(--hair-2);
}
.r-axis text {
    font-weight: 600;
}
.tags path {
    fill: none;
    stroke: var(--hair-2);
}
.tags text.major {
    fill: var(--ink);
    font-weight: 600;
}
.tags .entry.long,
.tags .target.long {
    fill: var(--long);
    font-weight: 600;
}
.tags .entry.short,
.tags .target.short {
    fill: var(--short);
    font-weight: 600;
}
.tags text.stop,
.tags text.cancel {
    fill: var(--stop);
    font-weight: 600;
}
.tags path.entry,
.tags path.target {
    fill: none;
}
</style>
