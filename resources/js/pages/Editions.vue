<script setup lang="ts">
import { Link, usePage } from '@inertiajs/vue3';
import AppShell from '@/components/AppShell.vue';
import type { EditionLinkData } from '@/types/data';

defineProps<{ editions: EditionLinkData[] }>();

const page = usePage();
</script>

<template>
    <AppShell title="Editions" step="editions">
        <div class="list">
            <h1>Editions</h1>
            <p v-if="editions.length === 0" class="muted">
                Nothing is published yet. The first edition will stand here before its session opens.
            </p>
            <Link v-for="edition in editions" :key="edition.number" :href="`/editions/${edition.number}`" class="one">
                <span class="number">{{ edition.number }}</span>
                <span class="what">
                    <strong>{{ edition.session }}</strong>
                    <span class="muted">{{ edition.kind }}, published {{ edition.publishedAt }}</span>
                    <span>{{ edition.symbols.join(', ') }}</span>
                </span>
                <span class="standing"
                    >{{ edition.setups }} {{ edition.setups === 1 ? 'setup' : 'setups' }}<br /><span class="muted">{{
                        edition.standing
                    }}</span></span
                >
            </Link>
            <p v-if="page.props.person" class="muted foot">
                Mails, a feed, a calendar and a webhook are in <Link href="/settings">your settings</Link>.
            </p>
        </div>
    </AppShell>
</template>

<style scoped>
.list {
    max-width: 880px;
    margin: 0 auto;
    padding: 16px;
}
h1 {
    font-family: var(--serif);
    margin-bottom: 8px;
}
.one {
    display: grid;
    grid-template-columns: 40px minmax(0, 1fr) auto;
    gap: 12px;
    padding: 12px 4px;
    border-top: 1px solid var(--hair-2);
    text-decoration: none;
}
.one:hover {
    background: var(--wash);
}
.foot {
    padding: 12px 4px;
    border-top: 1px solid var(--hair-2);
}
.number {
    font: 600 22px/28px var(--serif);
    text-align: right;
}
.what {
    display: flex;
    flex-direction: column;
}
.what strong {
    font: 650 17px/24px var(--serif);
}
.standing {
    text-align: right;
}
@media (max-width: 760px) {
    .one {
        grid-template-columns: 28px minmax(0, 1fr);
    }
    .standing {
        grid-column: 2;
        text-align: left;
    }
}
</style>
