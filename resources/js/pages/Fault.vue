<script setup lang="ts">
import { Head, Link } from '@inertiajs/vue3';
import { computed } from 'vue';

const props = defineProps<{ status: number; message: string }>();

const words: Record<number, [string, string]> = {
    403: ['Not for you', 'This part belongs to other people or to another tier.'],
    404: ['Nothing here', 'There is no such page: it may have been moved, or its candidate taken off the list.'],
    409: ['Already published', 'A published plan can no longer be changed.'],
    419: ['The page was open too long', 'Nothing was changed. Open it again and repeat the last step.'],
    429: ['Too many tries', 'Wait a minute, then try again.'],
};
const fallback: [string, string] = ['Something went wrong', 'The fault is ours. What was kept before stays kept.'];
const title = computed(() => (words[props.status] ?? fallback)[0]);
const text = computed(() =>
    (props.status === 409 || props.status >= 500) && props.message !== '' ? props.message : (words[props.status] ?? fallback)[1],
);
</script>

<template>
    <Head :title="title" />
    <main class="fault">
        <p class="status">{{ status }}</p>
        <h1>{{ title }}</h1>
        <p>{{ text }}</p>
        <Link href="/">To the beginning</Link>
    </main>
</template>

<style scoped>
.fault {
    display: flex;
    flex-direction: column;
    align-items: center;
    gap: 8px;
    padding: 22vh 16px 0;
    text-align: center;
}
.status {
    font: 400 40px/48px var(--serif);
    color: var(--ink-3);
}
h1 {
    font-family: var(--serif);
}
</style>
