<script setup lang="ts">
import { scaleLinear } from 'd3-scale';
import { computed } from 'vue';
import { signed } from '@/lib/price';
import type { StripData } from '@/types/data';

/** A setup in one line: stop, entry, targets on an R scale; price now; the span from worst to best; the filled part. */
const props = withDefaults(defineProps<{ strip: StripData; width?: number; labels?: boolean }>(), { width: 220, labels: false });

const height = computed(() => (props.labels ? 40 : 22));
const axis = 11;

const x = computed(() => {
    const marks = [
        -1,
        0,
        ...props.strip.targets.map(Number),
        ...known(props.strip.best),
        ...known(props.strip.worst),
        ...known(props.strip.fill),
    ];
    const top = Math.max(1, ...marks);
    const bottom = Math.min(-1, ...marks);
    // price may stand far away: it is drawn at the edge then, with an arrow
    return scaleLinear([bottom - 0.25, top + 0.25], [4, props.width - 4]);
});

const now = computed(() => {
    if (props.strip.now === null) {
        return null;
    }
    const [from, to] = x.value.domain() as [number, number];
    const value = Number(props.strip.now);
    return { x: x.value(Math.max(from, Math.min(to, value))), beyond: value < from ? -1 : value > to ? 1 : 0 };
});

const filled = computed(() => Number(props.strip.filled) > 0);
const said = computed(() => {
    const s = props.strip;
    const parts = [
        `${s.side}: stop at −1 R, entry at 0`,
        ...s.targets.map((r, i) => `target ${i + 1} at ${signed(r)} R`),
        ...(s.now === null ? [] : [`price now at ${signed(s.now)} R`]),
        ...(s.best === null ? [] : [`best ${signed(s.best)} R, worst ${signed(s.worst)} R`]),
        filled.value ? 'filled' : 'not filled',
    ];
    return parts.join('; ');
});

const labels = computed(() => {
    const out: { x: number; text: string; anchor: 'start' | 'middle' | 'end' }[] = [];
    let lastEnd = -Infinity;
    const all = [
        { r: -1, text: '−1 R' },
        { r: 0, text: '0' },
        ...props.strip.targets.map((r) => ({ r: Number(r), text: `${signed(r, 1)} R` })),
    ];
    for (const { r, text } of all) {
        const at = Math.max(14, Math.min(props.width - 18, x.value(r)));
        if (at - text.length * 3.2 > lastEnd) {
            out.push({ x: at, text, anchor: 'middle' });
            lastEnd = at + text.length * 3.2;
        }
    }
    return out;
});

function known(value: string | null): number[] {
    return value === null ? [] : [Number(value)];
}
</script>

<template>
    <svg
        :width="width"
        :height="height"
        :viewBox="`0 0 ${width} ${height}`"
        role="img"
        :aria-label="said"
        class="strip"
        :class="strip.side"
    >
        <line :x1="x(x.domain()[0] ?? 0)" :x2="x(x.domain()[1] ?? 0)" :y1="axis" :y2="axis" class="base" />
        <!-- risk: from stop to entry -->
        <line :x1="x(-1)" :x2="x(0)" :y1="axis" :y2="axis" class="risk" />
        <!-- worst to best so far -->
        <rect
            v-if="strip.best !== null && strip.worst !== null"
            :x="x(Number(strip.worst))"
            :width="Math.max(2, x(Number(strip.best)) - x(Number(strip.worst)))"
            :y="axis - 2.5"
            height="5"
            class="span"
        />
        <path :d="`M${x(-1)},${axis - 7}v14`" class="stop-mark" />
        <path
            v-for="(r, i) in strip.targets"
            :key="i"
            :d="`M${x(Number(r))},${axis - 6}l4,6l-4,6l-4,-6z`"
            class="target"
            :class="{ reached: strip.best !== null && Number(strip.best) >= Number(r) }"
        />
        <circle :cx="x(strip.fill === null ? 0 : Number(strip.fill))" :cy="axis" r="4.5" class="entry" :class="{ filled }" />
        <template v-if="now">
            <path v-if="now.beyond === 0" :d="`M${now.x},${axis - 10}v20`" class="now" />
            <path
                v-else
                :d="now.beyond > 0 ? `M${now.x - 4},${axis - 5}l5,5l-5,5` : `M${now.x + 4},${axis - 5}l-5,5l5,5`"
                class="now"
            />
        </template>
        <template v-if="props.labels">
            <text v-for="label in labels" :key="label.text" :x="label.x" y="36" :text-anchor="label.anchor">
                {{ label.text }}
            </text>
        </template>
    </svg>
</template>

<style scoped>
.strip {
    display: block;
    overflow: visible;
}
.strip.long {
    --side: var(--long);
}
.strip.short {
    --side: var(--short);
}
.base {
    stroke: var(--hair-2);
}
.risk {
    stroke: var(--stop);
    stroke-width: 1.5;
}
.span {
    fill: var(--ink-2);
    opacity: 0.55;
}
.stop-mark {
    stroke: var(--stop);
    stroke-width: 2.5;
}
.target {
    fill: var(--sheet);
    stroke: var(--side);
    stroke-width: 1.5;
}
.target.reached {
    fill: var(--side);
}
.entry {
    fill: var(--sheet);
    stroke: var(--side);
    stroke-width: 2;
}
.entry.filled {
    fill: var(--side);
}
.now {
    stroke: var(--look);
    stroke-width: 2;
    fill: none;
}
text {
    font-size: 11px;
    fill: var(--ink-2);
}
</style>
