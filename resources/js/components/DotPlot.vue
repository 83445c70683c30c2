<script setup lang="ts">
import { scaleLinear } from 'd3-scale';
import { computed } from 'vue';
import { signed } from '@/lib/price';

/** Results in R, a dot for each: how they spread. */
const props = defineProps<{ values: number[]; width: number }>();

const STEP = 0.25;
const TALLEST = 64;
const MOST = 28;
const AXIS = 18;
const PAD = 10;

/** Results further out stand at the edge, and are counted there: one of them would press all others together. */
const EDGE = 8;

const place = (value: number): number => Math.round(Math.max(-EDGE, Math.min(EDGE, value)) / STEP);
const beyond = computed(() => props.values.filter((value) => Math.abs(value) > EDGE).length);
const ends = computed(() => {
    const places = props.values.map(place);
    return [Math.min(-4, ...places), Math.max(4, ...places)] as const;
});
const x = computed(() =>
    scaleLinear()
        .domain([ends.value[0] * STEP, ends.value[1] * STEP])
        .range([PAD, props.width - PAD]),
);
const counts = computed(() => {
    const at = new Map<number, number>();
    for (const value of props.values) {
        at.set(place(value), (at.get(place(value)) ?? 0) + 1);
    }
    return at;
});
/** How many cases a dot stands for: one, unless a pile would grow too high. */
const each = computed(() => Math.max(1, Math.ceil(Math.max(...counts.value.values()) / MOST)));
const stacks = computed(() =>
    [...counts.value].flatMap(([at, count]) =>
        Array.from({ length: Math.ceil(count / each.value) }, (_, height) => ({ at, height })),
    ),
);
const highest = computed(() => Math.max(1, ...stacks.value.map(({ height }) => height + 1)));
const size = computed(() => Math.max(2, Math.min(5, TALLEST / highest.value, (x.value(STEP) - x.value(0)) * 0.9)));
const ticks = computed(() => x.value.ticks(6).filter(Number.isInteger));
</script>

<template>
    <svg
        v-if="values.length > 0"
        :width="width"
        :height="TALLEST + AXIS"
        role="img"
        :aria-label="`${values.length} results, from ${signed(String(Math.min(...values)), 1)} to ${signed(String(Math.max(...values)), 1)} R`"
    >
        <line class="zero" :x1="x(0)" :x2="x(0)" y1="0" :y2="TALLEST" />
        <circle
            v-for="({ at, height }, i) in stacks"
            :key="i"
            :cx="x(at * STEP)"
            :cy="TALLEST - size * (height + 0.5)"
            :r="size / 2 - 0.4"
            :class="{ loss: at < 0 }"
        />
        <line class="axis" :x1="PAD" :x2="width - PAD" :y1="TALLEST" :y2="TALLEST" />
        <text v-for="tick in ticks" :key="tick" :x="x(tick)" :y="TALLEST + 13">{{ signed(String(tick), 0) }} R</text>
        <text v-if="beyond > 0 || each > 1" class="beyond" :x="width - PAD" y="10">
            {{
                [each > 1 ? `a dot is ${each} cases` : '', beyond > 0 ? `${beyond} beyond ${EDGE} R` : '']
                    .filter((note) => note !== '')
                    .join(', ')
            }}
        </text>
    </svg>
</template>

<style scoped>
circle {
    fill: var(--ink);
}
.loss {
    fill: none;
    stroke: var(--ink-2);
}
.axis {
    stroke: var(--ink-3);
}
.zero {
    stroke: var(--hair-2);
}
text {
    font-size: 11px;
    text-anchor: middle;
    fill: var(--ink-2);
}
text.beyond {
    text-anchor: end;
}
</style>
