<script setup lang="ts">
import { Link } from '@inertiajs/vue3';
import AppShell from '@/components/AppShell.vue';

/** How anyone can recompute an edition, in plain words. */
defineProps<{ number: number; seal: string; hasPrevious: boolean }>();
</script>

<template>
    <AppShell :title="`Verify edition ${number}`" step="editions">
        <main class="page">
            <p>
                <Link :href="`/editions/${number}`">Edition {{ number }}</Link>
            </p>
            <h1>Verify edition {{ number }} yourself</h1>
            <p>
                Nothing of an edition has to be believed. What was published is one document, and its fingerprint was taken when
                it was sealed: change one letter of it and the fingerprint is another. Each edition names the fingerprint of the
                one before it, so none can be slipped in, taken out or rewritten later without breaking all that follow.
            </p>
            <p>
                What became of its setups follows from the document and from the prices alone, by rules that are the same for all
                and written down. Take both, and let your own computer find out:
            </p>
            <ol>
                <li>
                    <a :href="`/editions/${number}/evidence`">evidence-{{ number }}.json</a>: the sealed document, and what the
                    record claims of each setup.
                </li>
                <li>
                    <a :href="`/editions/${number}/bars`">bars-{{ number }}.csv</a>: the bars they were judged on. Compare them
                    with those of any source you trust.
                </li>
                <li v-if="hasPrevious">
                    <a :href="`/editions/${number - 1}/evidence`">evidence-{{ number - 1 }}.json</a>: the edition before, for the
                    chain.
                </li>
            </ol>
            <p>The program that keeps the record comes with its source. In its folder, with the downloads beside it:</p>
            <pre><code>core/bin/watchpost verify evidence-{{ number }}.json --bars bars-{{ number }}.csv<template v-if="hasPrevious"> --previous evidence-{{ number - 1 }}.json</template></code></pre>
            <p>
                It says "as claimed" of the seal, of the chain and of each setup, or where it differs. A setup that is still open
                is told as of its last evaluation.
            </p>
            <p class="muted">
                The seal of this edition: <code>{{ seal }}</code>
            </p>
        </main>
    </AppShell>
</template>

<style scoped>
.page {
    max-width: 680px;
    margin: 0 auto;
    padding: 24px 16px;
    font: 400 16px/25px var(--serif);
}
h1 {
    margin: 8px 0 12px;
    font: 600 28px/36px var(--serif);
}
p {
    margin-bottom: 12px;
}
ol {
    margin: 0 0 12px;
    padding-left: 24px;
}
pre {
    overflow-x: auto;
    margin: 0 0 12px;
    padding: 12px;
    background: var(--wash);
    font-size: 13px;
    line-height: 20px;
}
code {
    font-size: 13px;
    overflow-wrap: anywhere;
}
</style>
