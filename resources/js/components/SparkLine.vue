<script setup lang="ts">
import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { computed } from 'vue';

/** A small line of values, its last one marked; a value of its own, and levels near by, can be drawn across. */
const props = withDefaults(
    defineProps<{
        values: number[];
        width?: number;
        height?: number;
        across?: number | null;
        levels?: number[];
        label: string;
    }>(),
    {
        width: 110,
        height: 26,
        across: null,
        levels: () => [],
    },
);

const shape = computed(() => {
    const [low = 0, high = 1] = extent(props.across === null ? props.values : [...props.values, props.across]) as [
        number | undefined,
        number | undefined,
    ];
    const x = scaleLinear([0, Math.max(1, props.values.length - 1)], [2, props.width - 4]);
    const y = scaleLinear([low, high === low ? low + 1 : high], [props.height - 3, 3]);
    const last = props.values.at(-1);
    const reach = 0.15 * (high - low);
    return {
        path:
            line<number>(
                (_, i) => x(i),
                (value) => y(value),
            )(props.values) ?? '',
        end: last === undefined ? null : { x: x(props.values.length - 1), y: y(last) },
        levels: props.levels.filter((level) => level >= low - reach && level <= high + reach).map((level) => y(level)),
        across: props.across === null ? null : y(props.across),
    };
});
</script>

<template>
    <svg :width="width" :height="height" :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="label">
        <line v-if="shape.across !== null" x1="0" :x2="width" :y1="shape.across" :y2="shape.across" />
        <line v-for="(level, i) in shape.levels" :key="i" class="level" x1="0" :x2="width" :y1="level" :y2="level" />
        <path :d="shape.path" />
        <circle v-if="shape.end" :cx="shape.end.x" :cy="shape.end.y" r="2" />
    </svg>
</template>

<style scoped>
svg {
    display: block;
}
path {
    fill: none;
    stroke: var(--ink-2);
    stroke-width: 1.2;
}
line {
    stroke: var(--hair-2);
    stroke-dasharray: 2 3;
}
line.level {
    stroke: var(--ink-3);
    stroke-dasharray: none;
    stroke-width: 0.8;
}
circle {
    fill: var(--ink);
}
</style>
