<script setup lang="ts">
import type { EditionTextData } from '@/types/data';

/** A text of an edition. Its HTML is made from Markdown on the server, without markup of its own. */
defineProps<{ text: EditionTextData }>();
</script>

<template>
    <section class="text" :class="text.role" :aria-label="text.title">
        <h2>{{ text.title }}</h2>
        <!-- eslint-disable-next-line vue/no-v-html -- escaped where it is made -->
        <div class="body" v-html="text.html"></div>
    </section>
</template>

<style scoped>
.text {
    padding: 16px 0;
    border-bottom: 1px solid var(--hair-2);
}
h2 {
    font: 650 20px/26px var(--serif);
}
.body {
    font: 400 17px/26px var(--serif);
    overflow-wrap: break-word;
}
.body :deep(p),
.body :deep(ul),
.body :deep(ol),
.body :deep(blockquote) {
    margin: 8px 0 0;
}
.body :deep(img) {
    display: block;
    max-width: 100%;
    margin: 12px auto;
}
.body :deep(h1),
.body :deep(h2),
.body :deep(h3) {
    margin-top: 12px;
    font: 650 17px/24px var(--serif);
}
.body :deep(table) {
    border-collapse: collapse;
    font: 14px/22px var(--sans);
}
.body :deep(td),
.body :deep(th) {
    padding: 2px 12px 2px 0;
    border-bottom: 1px solid var(--hair);
    text-align: left;
}
.disclaimer,
.holdings,
.sponsorship {
    padding: 10px 0;
}
.disclaimer h2,
.holdings h2,
.sponsorship h2 {
    font: 650 14px/20px var(--sans);
}
.disclaimer .body,
.holdings .body,
.sponsorship .body {
    font: 400 14px/20px var(--sans);
    color: var(--ink-2);
}
</style>
