<script setup lang="ts">
import { Head, usePoll } from '@inertiajs/vue3';

/** Stands in for the addresses of webhooks. */
defineProps<{ messages: { id: number; url: string; headers: Record<string, string>; body: string; at: string }[] }>();

usePoll(2000, { only: ['messages'] });

function spaced(body: string): string {
    return JSON.stringify(JSON.parse(body), null, 2);
}
</script>

<template>
    <Head title="Webhook sink" />
    <main class="page">
        <h1>Webhook sink</h1>
        <p class="muted">
            Stands in for the addresses of webhooks: what is posted ends here. An address on a host that begins with “down.” takes
            nothing.
        </p>
        <p v-if="messages.length === 0" class="empty">Nothing has been posted yet.</p>
        <details v-for="one in messages" :key="one.id">
            <summary>
                <strong>{{ one.url }}</strong> <span class="muted">{{ one.at }}, {{ one.headers['X-Watchpost-Delivery'] }}</span>
            </summary>
            <dl>
                <template v-for="(value, name) in one.headers" :key="name">
                    <dt>{{ name }}</dt>
                    <dd>{{ value }}</dd>
                </template>
            </dl>
            <pre>{{ spaced(one.body) }}</pre>
        </details>
    </main>
</template>

<style scoped>
.page {
    max-width: 880px;
    margin: 0 auto;
    padding: 16px;
}
.empty {
    margin-top: 12vh;
    text-align: center;
}
details {
    padding: 8px 0;
    border-top: 1px solid var(--hair-2);
}
summary {
    cursor: pointer;
    overflow-wrap: anywhere;
}
dl {
    display: grid;
    grid-template-columns: 200px minmax(0, 1fr);
    gap: 2px 12px;
    overflow-wrap: anywhere;
}
dd {
    margin: 0;
}
pre {
    overflow-x: auto;
    padding: 8px;
    background: var(--wash);
}
</style>
