<script setup lang="ts">
/** Where price stands between the low (left) and the high (right) of a range. */
defineProps<{ place: number | null; label: string }>();
</script>

<template>
    <span v-if="place === null" class="muted">too young</span>
    <span v-else class="place" role="img" :aria-label="label">
        <span class="track"><span class="tick" :style="{ left: `${Math.max(0, Math.min(100, place))}%` }" /></span>
        <span class="figure">{{ Math.round(place) }}</span>
    </span>
</template>

<style scoped>
.place {
    display: inline-grid;
    grid-template-columns: 64px 26px;
    gap: 6px;
    align-items: center;
}
.track {
    position: relative;
    height: 1px;
    background: var(--ink-3);
}
.track::before,
.track::after {
    content: '';
    position: absolute;
    top: -3px;
    height: 7px;
    border-left: 1px solid var(--ink-3);
}
.track::after {
    right: 0;
}
.tick {
    position: absolute;
    top: -5px;
    width: 3px;
    height: 11px;
    margin-left: -1px;
    background: var(--ink);
}
.figure {
    text-align: right;
}
</style>
