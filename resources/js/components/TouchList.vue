<script setup lang="ts">
import { computed } from 'vue';
import type { TouchData } from '@/types/data';

/** The times that price came to a level, the latest first, with how often it held. */
const props = defineProps<{ touches: TouchData[] }>();

const MOST = 6;
const words = { held: 'held', broke: 'broke', role_change: 'held, in its other role' };
const held = computed(() => props.touches.filter((touch) => touch.kind !== 'broke').length);
</script>

<template>
    <p v-if="touches.length === 0" class="none">Price has not come to it in the bars at hand.</p>
    <template v-else>
        <p class="sum">
            <strong>{{ touches.length }}</strong> {{ touches.length === 1 ? 'visit' : 'visits' }}, held {{ held }}, broke
            {{ touches.length - held }}
        </p>
        <ul>
            <template v-for="(touch, i) in touches.slice(0, MOST)" :key="touch.session">
                <li v-if="touch.beforeMarked && touches[i - 1]?.beforeMarked !== true" class="more">before it was marked:</li>
                <li>
                    <span>{{ touch.date }}</span> <b>{{ touch.price }}</b> <span>{{ words[touch.kind] }}</span>
                </li>
            </template>
            <li v-if="touches.length > MOST" class="more">and {{ touches.length - MOST }} before, ringed on the chart</li>
        </ul>
    </template>
</template>

<style scoped>
ul {
    margin: 0;
    padding: 0;
    list-style: none;
    line-height: 18px;
}
li {
    display: flex;
    gap: 8px;
    color: var(--ink-2);
}
li span:first-child {
    width: 84px;
}
li b {
    min-width: 56px;
    color: var(--ink);
    font-weight: 600;
    text-align: right;
}
.more,
.none {
    color: var(--ink-3);
}
</style>
