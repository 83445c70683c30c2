<script setup lang="ts">
import { computed, useId } from 'vue';
import type { ChartData, RScaleData } from '@/types/data';
import BarReading from './BarReading.vue';
import CandleLayer from './CandleLayer.vue';
import ChartTable from './ChartTable.vue';
import { FRAMES } from './frames';
import LineLayer from './LineLayer.vue';
import type { ChartMark, PriceLine } from './lines';
import type { Live, Motion } from './live';
import type { Point } from './measure';
import MovingLine from './MovingLine.vue';
import PaneLayer from './PaneLayer.vue';
import PaneNames from './PaneNames.vue';
import { panesHeight } from './panes';
import { usePointer, type PointerPlace } from './pointer';
import PointerLayer from './PointerLayer.vue';
import { barScale, DATE_AXIS, dateMarks, rTicks, type PriceScale, type Window } from './scales';
import { averagePath } from './shapes';
import type { Snapped } from './snap';
import { spread } from './spread';

/**
 * The chart: price in ink, levels as lines and bands, the plan in colour. It draws and turns pixels into prices; every
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
        /** one of several, to be taken in at a glance */
        small?: boolean;
        /** without axes, to be a picture among others */
        bare?: boolean;
        /** figures of the price axis within the plot, so that they are not taken for those of the chart beside */
        inside?: boolean;
        /** without the table for screen readers, which another chart beside it gives */
        silent?: boolean;
        interactive?: boolean;
        marks?: ChartMark[];
        /** key of the line that is chosen elsewhere */
        chosen?: string | null;
        /** key of the line being moved */
        moving?: string | null;
        /** and how it stands now */
        motion?: Motion | null;
        /** points picked so far, while points are being picked */
        picked?: Point[] | null;
        snaps?: boolean;
        /** average true range, for measuring */
        atr?: number | null;
        /** the evening of the cross-check, if it is an earlier one */
        asOf?: string | null;
        /** what the reading of a bar is put into; else above the chart */
        readingIn?: string | null;
    }>(),
    {
        tags: false,
        small: false,
        bare: false,
        inside: false,
        silent: false,
        interactive: false,
        marks: () => [],
        chosen: null,
        moving: null,
        motion: null,
        picked: null,
        snaps: true,
        atr: null,
        asOf: null,
        readingIn: null,
    },
);
const emit = defineEmits<{
    place: [value: number, snapped: Snapped | null];
    pick: [point: Point, snapped: Snapped | null];
    choose: [key: string];
    moveStart: [key: string];
    move: [value: number];
    moveEnd: [];
    zoom: [factor: number, at: number];
    pan: [bars: number];
    hold: [ends: [number, number] | null];
}>();

const R_GUTTER = 40;
const clip = useId();

const gutter = computed(
    () =>
        (props.bare || props.inside ? 2 : props.tags ? 118 : props.small ? 52 : 64) +
        (props.scale === null ? 0 : props.tags ? 0 : R_GUTTER),
);
const plotWidth = computed(() => Math.max(props.small ? 60 : 120, props.width - gutter.value));
const plotHeight = computed(() => props.height - DATE_AXIS - panesHeight(props.chart));
const bottom = computed(() => props.height - DATE_AXIS);
const bars = computed(() => barScale(props.window, plotWidth.value, props.small ? 4 : undefined));
const flags = computed(() =>
    props.chart.marks.filter((mark) => mark.index >= props.window.first && mark.index <= props.window.last),
);
const averages = computed(() =>
    props.chart.averages.map((average) => ({
        name: average.name,
        path: averagePath(average.values, props.window, bars.value.x, props.y),
        end: average.values[props.window.last] ?? null,
    })),
);
const months = computed(() => dateMarks(props.chart, props.window, bars.value.slot, props.small ? 62 : undefined));
/** Where a session ends within the day, as long as the lines can be told apart. */
const breaks = computed(() => {
    if (props.chart.times.length === 0 || props.small) {
        return [];
    }
    const ends = [];
    for (let i = Math.max(1, props.window.first); i <= props.window.last; i++) {
        if (props.chart.sessions[i] !== props.chart.sessions[i - 1]) {
            ends.push(i);
        }
    }
    return ends.length * 12 > plotWidth.value ? [] : ends;
});
const frameName = computed(() => FRAMES.find((frame) => frame.value === props.chart.timeFrame)?.name ?? '');
const priceTicks = computed(() => props.y.ticks(Math.max(props.small ? 2 : 3, Math.floor(plotHeight.value / 64))));
const rMarks = computed(() => (props.scale === null ? [] : rTicks(props.y, props.scale.entry, props.scale.stop)));
// levels first, so that the plan is drawn over them
const ordered = computed(() => {
    const rank = (line: PriceLine): number => (line.kind === 'found' ? 0 : line.kind === 'level' ? 1 : 2);
    return props.lines.filter((line) => line.key !== props.moving || props.motion === null).sort((a, b) => rank(a) - rank(b));
});
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
    const sorted = ordered.value
        .filter((line) => line.kind !== 'last' && inView(line.value))
        .sort((a, b) => props.y(a.value) - props.y(b.value));
    const places = spread(
        sorted.map((line) => props.y(line.value)),
        15,
        2,
        plotHeight.value,
    );
    return sorted.map((line, i) => ({ line, y: places[i] ?? 0 }));
});
const published = computed(() => after(props.chart.publishedAfter));
const evening = computed(() => {
    const date = props.asOf;
    return date === null ? null : after(props.chart.sessions.filter((session) => session <= date).length - 1);
});
const events = computed(() =>
    props.marks
        .map((mark) => ({ ...mark, index: barOf(mark.session) }))
        .filter((mark) => mark.index >= props.window.first && mark.index <= props.window.last),
);

const place = computed<PointerPlace>(() => ({
    chart: props.chart,
    window: props.window,
    bars: bars.value,
    y: props.y,
    lines: props.lines,
    chosen: props.chosen,
    moving: props.moving,
    plotWidth: plotWidth.value,
    plotHeight: plotHeight.value,
    interactive: props.interactive,
    picking: props.picked !== null,
    snaps: props.snaps,
}));
const pointer = usePointer(place, {
    place: (value, snapped) => emit('place', value, snapped),
    pick: (point, snapped) => emit('pick', point, snapped),
    choose: (key) => emit('choose', key),
    moveStart: (key) => emit('moveStart', key),
    move: (value) => emit('move', value),
    moveEnd: () => emit('moveEnd'),
    zoom: (factor, at) => emit('zoom', factor, at),
    pan: (count) => count !== 0 && emit('pan', count),
    hold: (ends) => emit('hold', ends),
});
const { takesHold } = pointer;
const live: Live = { hover: pointer.hover, ghost: pointer.ghost, snapped: pointer.snapped, measuring: pointer.measuring };
const side = computed(() => props.lines.find((line) => line.side !== null)?.side ?? 'long');

/** The bar that holds a session. */
function barOf(session: string): number {
    let at = -1;
    for (let i = 0; i < props.chart.sessions.length && (props.chart.sessions[i] ?? '') <= session; i++) {
        at = i;
    }
    return at;
}

/** The place after a bar, if it is in view with one that follows. */
function after(index: number | null): number | null {
    return index === null || index < props.window.first || index >= props.window.last
        ? null
        : bars.value.x(index) + bars.value.slot / 2;
}

/** Whether the name of a flag can be read before the next flag. */
function hasRoom(place: number): boolean {
    const here = flags.value[place]?.index ?? 0;
    const next = flags.value[place + 1]?.index;
    return next === undefined || (next - here) * bars.value.slot > 64;
}

function inView(value: number): boolean {
    const at = props.y(value);
    return at >= -1 && at <= plotHeight.value + 1;
}

defineExpose({ forgetMeasure: () => (pointer.measuring.value = null) });
</script>

<template>
    <figure class="chart">
        <Teleport :to="readingIn ?? 'body'" :disabled="readingIn === null" defer>
            <component :is="readingIn === null ? 'figcaption' : 'div'" v-if="!tags && !small">
                <BarReading :chart="chart" :window="window" :live="live" />
            </component>
        </Teleport>
        <svg
            :width="width"
            :height="height"
            :viewBox="`0 0 ${width} ${height}`"
            role="img"
            :aria-label="`Chart of ${name}, one bar for each ${frameName}.${silent ? '' : ' The same figures stand in the table that follows.'}`"
            :class="{ interactive, 'over-line': takesHold || moving !== null, picking: picked !== null }"
            @pointerdown="pointer.down"
            @pointermove="pointer.over"
            @pointerup="pointer.up"
            @pointercancel="pointer.cancel"
            @pointerleave="pointer.leave"
            @wheel="interactive && ($event.preventDefault(), pointer.wheel($event))"
            @dblclick="pointer.twice"
        >
            <defs>
                <clipPath :id="clip"><rect :width="plotWidth" :height="plotHeight" /></clipPath>
            </defs>
            <g class="months">
                <line
                    v-for="index in breaks"
                    :key="`b${index}`"
                    class="break"
                    :x1="bars.x(index) - bars.slot / 2"
                    :x2="bars.x(index) - bars.slot / 2"
                    y1="0"
                    :y2="bottom"
                />
                <template v-for="month in months" :key="month.index">
                    <line
                        :x1="bars.x(month.index) - bars.slot / 2"
                        :x2="bars.x(month.index) - bars.slot / 2"
                        y1="0"
                        :y2="bottom"
                    />
                    <text
                        v-if="!small || bars.x(month.index) < plotWidth - 44"
                        :x="bars.x(month.index) - bars.slot / 2 + 3"
                        :y="height - 6"
                    >
                        {{ month.label }}
                    </text>
                </template>
            </g>
            <g v-if="!tags && !bare" class="axis">
                <template v-for="tick in priceTicks" :key="tick">
                    <line x1="0" :x2="plotWidth + 4" :y1="y(tick)" :y2="y(tick)" />
                    <text v-if="inside" class="within" x="2" :y="y(tick) - 3">{{ tick.toFixed(chart.decimals) }}</text>
                    <text v-else :x="plotWidth + (small ? 50 : 60)" :y="y(tick) + 4" text-anchor="end">
                        {{ tick.toFixed(chart.decimals) }}
                    </text>
                </template>
            </g>
            <line class="frame" :x1="plotWidth" :x2="plotWidth" y1="0" :y2="bottom" />
            <line class="frame" x1="0" :x2="plotWidth" :y1="plotHeight" :y2="plotHeight" />
            <g :clip-path="`url(#${clip})`">
                <path
                    v-for="(average, i) in averages"
                    :key="average.name"
                    class="average"
                    :class="`average-${i}`"
                    :d="average.path"
                />
                <LineLayer
                    :lines="ordered"
                    :window="window"
                    :x="bars.x"
                    :y="y"
                    :width="plotWidth"
                    :height="plotHeight"
                    :chosen="chosen"
                    :handles="interactive && picked === null"
                />
                <CandleLayer :chart="chart" :window="window" :x="bars.x" :y="y" :step="bars.slot" />
                <g v-for="(mark, i) in events" :key="`m${i}`" class="event" :class="mark.kind">
                    <title>{{ mark.label }}</title>
                    <path v-if="mark.kind === 'fill'" :d="`M${bars.x(mark.index) - 9},${y(mark.value) - 5}l8,5l-8,5z`" />
                    <path v-else-if="mark.kind === 'exit'" :d="`M${bars.x(mark.index) + 2},${y(mark.value) - 4}l8,8m0,-8l-8,8`" />
                    <path
                        v-else-if="mark.kind === 'broke'"
                        :d="`M${bars.x(mark.index) - 5},${y(mark.value) - 5}l10,10m0,-10l-10,10`"
                    />
                    <circle v-else :cx="bars.x(mark.index)" :cy="y(mark.value)" r="5" />
                </g>
                <g v-for="(flag, i) in flags" :key="`f${i}`" class="flag" :class="flag.kind">
                    <title>{{ flag.label }}</title>
                    <path v-if="flag.kind === 'missing'" :d="`M${bars.x(flag.index) - bars.slot / 2},${plotHeight}v-12`" />
                    <template v-else>
                        <path :d="`M${bars.x(flag.index)},${plotHeight}v-13h7l-3,3.5l3,3.5h-7`" />
                        <text v-if="!tags && !small && hasRoom(i)" :x="bars.x(flag.index) + 10" :y="plotHeight - 4">
                            {{ flag.kind }}
                        </text>
                    </template>
                </g>
            </g>
            <PaneLayer
                :chart="chart"
                :window="window"
                :x="bars.x"
                :step="bars.slot"
                :top="plotHeight"
                :width="plotWidth"
                :plain="tags || small"
            />
            <PaneNames
                v-if="chart.panes.length > 0"
                :chart="chart"
                :window="window"
                :top="plotHeight"
                :live="live"
                :plain="tags"
            />
            <g v-if="published !== null" class="published">
                <line :x1="published" :x2="published" y1="0" :y2="bottom" />
                <text :x="published - 4" y="11" text-anchor="end">published</text>
            </g>
            <g v-if="evening !== null" class="published evening">
                <line :x1="evening" :x2="evening" y1="0" :y2="bottom" />
                <text :x="evening - 4" y="11" text-anchor="end">found as of here</text>
            </g>
            <text
                v-for="end in nameEnds"
                :key="end.name"
                class="average-name"
                :x="plotWidth - (tags || small ? 4 : 24)"
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
        <svg
            v-if="!tags && !small && moving === null"
            class="overlay"
            :width="width"
            :height="height"
            :viewBox="`0 0 ${width} ${height}`"
            aria-hidden="true"
        >
            <PointerLayer
                :live="live"
                :x="bars.x"
                :y="y"
                :width="plotWidth"
                :height="plotHeight"
                :bottom="bottom"
                :decimals="chart.decimals"
                :picked="picked"
                :moving="moving"
                :atr="atr"
                :scale="scale"
            />
        </svg>
        <MovingLine
            v-if="motion !== null && moving !== null"
            :motion="motion"
            :live="live"
            :side="side"
            :x="bars.x"
            :y="y"
            :width="plotWidth"
            :height="plotHeight"
        />
        <ChartTable v-if="!silent" :chart="chart" :window="window" :name="name" />
    </figure>
</template>

<style scoped>
.chart {
    position: relative;
    margin: 0;
}
.overlay {
    position: absolute;
    inset: 0 auto auto 0;
    pointer-events: none;
    /* a layer of its own: what follows the pointer does not have the bars painted anew */
    will-change: transform;
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
.axis .within {
    font-size: 11px;
    fill: var(--ink-3);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
}
.frame {
    stroke: var(--hair-2);
    shape-rendering: crispEdges;
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
.average-2 {
    stroke-width: 1;
    stroke-dasharray: 2 2;
}
.average-3 {
    stroke-width: 2;
    stroke-dasharray: 1 3;
}
.average-4 {
    stroke-width: 1.2;
    stroke-dasharray: 12 4;
}
.flag path {
    stroke: var(--ink-2);
    fill: var(--paper);
}
.flag.missing path {
    stroke-dasharray: 2 2;
    stroke-width: 1.5;
}
.flag text {
    font-size: 11px;
    fill: var(--ink-3);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
}
.average-name {
    font-size: 11px;
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
}
.months .break {
    stroke-dasharray: none;
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
.event circle,
.event.broke path {
    fill: none;
    stroke: var(--look);
    stroke-width: 2;
}
svg.picking {
    cursor: cell;
}
</style>
