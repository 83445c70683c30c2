<script setup lang="ts">
import { Link, router, usePage } from '@inertiajs/vue3';
import ToggleSwitch from 'primevue/toggleswitch';
import { computed, ref } from 'vue';
import { useLookAgain } from '@/lib/again';
import { useShortcuts } from '@/lib/keys';
import AppShell from '@/components/AppShell.vue';
import EditionSheet from '@/components/EditionSheet.vue';
import AccountForm from '@/components/AccountForm.vue';
import DeliveryProgress from '@/components/DeliveryProgress.vue';
import type { AccountData, ChartData, DeliveriesData, EditionData } from '@/types/data';

const props = defineProps<{
    edition: EditionData;
    account: AccountData | null;
    follows: string[];
    /** For those who publish it: how far it has reached its readers. */
    deliveries: DeliveriesData | null;
    charts?: Record<string, ChartData>;
}>();

/** The words are there at once; the charts come after them. */
const sheet = computed(() => ({
    ...props.edition,
    parts: props.edition.parts.map((part) => ({ ...part, chart: props.charts?.[part.symbol] ?? null })),
}));

const page = usePage();
const since = ref(true);

const print = (): void => window.print();

useShortcuts([{ keys: 'x', does: 'as published, or with what happened since', run: () => (since.value = !since.value) }]);

useLookAgain(
    () => props.deliveries,
    () => (props.deliveries?.waiting ?? 0) > 0,
    ['deliveries'],
);

function follow(key: string, on: boolean): void {
    router.post(
        `/editions/${props.edition.number}/setups/${key}/follow`,
        { on },
        { preserveScroll: true, preserveState: true, only: ['follows'] },
    );
}
</script>

<template>
    <AppShell :title="`Edition ${edition.number}`" step="editions">
        <nav class="above" aria-label="Edition">
            <Link href="/editions">All editions</Link>
            <span>
                <button type="button" class="print" @click="print">Print</button>
                <a :href="`/editions/${edition.number}/pdf`">PDF</a>
                <a :href="`/editions/${edition.number}/markdown`">Markdown</a>
                <a :href="`/editions/${edition.number}/setups`">Setups (CSV)</a>
                <template v-if="edition.readsAll">
                    <a :href="`/editions/${edition.number}/document`">Sealed document (JSON)</a>
                    <Link :href="`/editions/${edition.number}/verify`">Verify it yourself</Link>
                </template>
            </span>
        </nav>
        <div v-if="deliveries !== null" class="deliveries" role="status" aria-label="Deliveries">
            <Link href="/subscribers">Delivered</Link> <DeliveryProgress :deliveries="deliveries" />
        </div>
        <div class="switch">
            <ToggleSwitch v-model="since" input-id="since" />
            <label for="since">What happened since <kbd>x</kbd></label>
        </div>
        <AccountForm v-if="page.props.person" :account="account" class="account" />
        <EditionSheet
            :edition="sheet"
            :waiting="charts === undefined"
            :since="since"
            :follows="page.props.person?.role === 'subscriber' ? follows : null"
            @follow="follow"
        />
    </AppShell>
</template>

<style scoped>
.print {
    padding: 0;
    border: 0;
    background: none;
    color: inherit;
    font: inherit;
    text-decoration: underline;
    cursor: pointer;
}
.switch {
    display: flex;
    align-items: center;
    gap: 8px;
    max-width: 880px;
    margin: 0 auto;
    padding: 0 40px 8px;
    font-size: 13px;
}
.deliveries {
    display: grid;
    grid-template-columns: auto auto minmax(80px, 1fr);
    align-items: center;
    gap: 2px 8px;
    max-width: 880px;
    margin: 0 auto;
    padding: 0 40px 8px;
    font-size: 13px;
}
.deliveries :deep(.fault) {
    grid-column: 1 / -1;
    margin: 0;
    color: var(--stop);
}
.above span {
    display: flex;
    flex-wrap: wrap;
    justify-content: flex-end;
    gap: 16px;
}
.account {
    max-width: 880px;
    margin: 0 auto;
    padding: 0 40px 8px;
}
.above {
    display: flex;
    justify-content: space-between;
    max-width: 880px;
    margin: 0 auto;
    padding: 8px 40px;
    font-size: 13px;
}
@media (max-width: 760px) {
    .above {
        padding: 8px 16px;
    }
    .account,
    .switch {
        padding: 0 16px 8px;
    }
}
</style>
