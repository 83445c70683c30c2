<script setup lang="ts">
import { router } from '@inertiajs/vue3';
import Button from 'primevue/button';
import type { FeedsData } from '@/types/data';

/** The reader's private addresses, for a news reader and a calendar. */
defineProps<{ feeds: FeedsData | null }>();

function change(on: boolean): void {
    router.post('/settings/feeds', { on }, { preserveScroll: true, preserveState: true });
}
</script>

<template>
    <section class="feeds" aria-label="Feeds">
        <h2>Feeds</h2>
        <template v-if="feeds === null">
            <p class="muted">
                Private addresses for a news reader and a calendar: the editions as you read them, and the dates on which setups
                end their wait.
            </p>
            <Button label="Give me addresses" size="small" severity="secondary" outlined @click="change(true)" />
        </template>
        <template v-else>
            <dl>
                <dt>Editions (Atom)</dt>
                <dd>
                    <a :href="feeds.editions">{{ feeds.editions }}</a>
                </dd>
                <dt>Dates (iCalendar)</dt>
                <dd>
                    <a :href="feeds.dates">{{ feeds.dates }}</a>
                </dd>
            </dl>
            <p class="muted">Whoever knows an address reads what you read. New ones make these lead nowhere.</p>
            <Button label="New addresses" text size="small" severity="secondary" @click="change(true)" />
            <Button label="Switch off" text size="small" severity="secondary" @click="change(false)" />
        </template>
    </section>
</template>

<style scoped>
.feeds {
    margin-top: 24px;
    padding-top: 12px;
    border-top: 1px solid var(--hair-2);
    font-size: 13px;
}
h2 {
    margin-bottom: 4px;
}
p {
    margin-bottom: 8px;
}
dl {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    gap: 2px 12px;
    margin: 0 0 4px;
}
dt {
    color: var(--ink-2);
}
dd {
    margin: 0;
    overflow-wrap: anywhere;
}
</style>
