<script setup lang="ts">
import { Head } from '@inertiajs/vue3';

/** A page before the door: a sheet on a compass card. */
defineProps<{ title: string }>();
</script>

<template>
    <Head :title="title" />
    <main class="gate">
        <svg class="chart-rose" viewBox="0 0 320 320" aria-hidden="true">
            <g fill="none" stroke="currentColor">
                <circle cx="160" cy="160" r="150" stroke-width="0.6" />
                <circle cx="160" cy="160" r="138" stroke-width="0.4" />
                <path
                    v-for="n in 72"
                    :key="n"
                    :d="`M160,${(n - 1) % 6 === 0 ? 24 : 16}V10`"
                    :transform="`rotate(${(n - 1) * 5} 160 160)`"
                    stroke-width="0.6"
                />
                <path d="M160 30V290M30 160H290M68 68 252 252M252 68 68 252" stroke-width="0.4" />
            </g>
        </svg>
        <slot />
    </main>
</template>

<style scoped>
.gate {
    position: relative;
    display: grid;
    place-items: center;
    min-height: 100vh;
    padding: 16px;
    overflow: hidden;
}
.chart-rose {
    position: absolute;
    width: min(90vh, 720px);
    color: var(--hair-2);
}
.gate > :deep(.sheet) {
    position: relative;
    display: flex;
    flex-direction: column;
    gap: 8px;
    width: min(340px, 100%);
    padding: 24px;
    border: 1px solid var(--hair-2);
    background: var(--sheet);
}
.gate :deep(h1) {
    font: 600 26px/32px var(--serif);
}
.gate :deep(label) {
    margin-top: 4px;
    font-weight: 600;
}
.gate :deep(.error) {
    color: var(--stop);
}
.gate :deep(button[type='submit']) {
    margin-top: 8px;
}
</style>
