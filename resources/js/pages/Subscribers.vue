<script setup lang="ts">
import { Link, router, useForm } from '@inertiajs/vue3';
import Button from 'primevue/button';
import Column from 'primevue/column';
import DataTable from 'primevue/datatable';
import Dialog from 'primevue/dialog';
import InputNumber from 'primevue/inputnumber';
import InputText from 'primevue/inputtext';
import Select from 'primevue/select';
import { useConfirm } from 'primevue/useconfirm';
import { useToast } from 'primevue/usetoast';
import { computed, ref } from 'vue';
import AppShell from '@/components/AppShell.vue';
import DeliveryProgress from '@/components/DeliveryProgress.vue';
import { useLookAgain } from '@/lib/again';
import { useShortcuts } from '@/lib/keys';
import type { DeliveriesData, RosterReportData, Sees, SubscriberData, TierData } from '@/types/data';

/** Who reads: tiers, the roster, and what has reached them. */
const props = defineProps<{
    levels: TierData[];
    roster: SubscriberData[];
    deliveries: DeliveriesData[];
    report: RosterReportData | null;
}>();

const toast = useToast();
const confirm = useConfirm();
const sought = ref('');
const shown = computed(() => {
    const words = sought.value.trim().toLowerCase();
    return props.roster.filter((one) => [one.name, one.address, one.tier].some((text) => text.toLowerCase().includes(words)));
});
const subscribed = computed(() => props.levels.filter((tier) => !tier.isVisitors));

const SEES: { value: Sees; label: string }[] = [
    { value: 'nothing', label: 'nothing' },
    { value: 'headline', label: 'the headline: instrument and side' },
    { value: 'levels', label: 'headline and levels' },
    { value: 'full', label: 'all of it' },
];
const seesOf = (sees: Sees): string => SEES.find((one) => one.value === sees)?.label ?? sees;

const tierOpen = ref(false);
const tierId = ref<number | null>(null);
const tierForm = useForm<{ name: string; sees: Sees; opens_after_hours: number | null; after: string }>({
    name: '',
    sees: 'full',
    opens_after_hours: null,
    after: '',
});

function editTier(tier: TierData | null): void {
    tierId.value = tier?.id ?? null;
    tierForm.name = tier?.name ?? '';
    tierForm.sees = tier?.sees ?? 'full';
    tierForm.opens_after_hours = tier?.opensAfterHours ?? null;
    tierForm.after = props.levels[0]?.key ?? '';
    tierForm.clearErrors();
    tierOpen.value = true;
}

function keepTier(): void {
    const options = { preserveScroll: true, onSuccess: () => (tierOpen.value = false) };
    if (tierId.value === null) {
        tierForm.post('/subscribers/tiers', options);
    } else {
        tierForm.patch(`/subscribers/tiers/${tierId.value}`, options);
    }
}

function told(errors: Record<string, string>): void {
    toast.add({ severity: 'error', summary: Object.values(errors)[0] ?? 'Nothing was changed.', life: 8000 });
}

const inviting = ref(false);
const invitation = useForm({ name: '', address: '', tier: '' });

function beginInvitation(): void {
    invitation.reset();
    invitation.clearErrors();
    invitation.tier = subscribed.value.at(-1)?.key ?? '';
    inviting.value = true;
}

function invite(): void {
    invitation.post('/subscribers', { preserveScroll: true, onSuccess: () => (inviting.value = false) });
}

function remove(one: SubscriberData): void {
    confirm.require({
        header: `Take ${one.name} off the roster?`,
        message: 'The account is deleted with its settings and all that was sent to it. Editions and record stay as they are.',
        acceptProps: { label: 'Take off', severity: 'danger' },
        rejectProps: { label: 'Keep', severity: 'secondary', text: true },
        accept: () => router.delete(`/subscribers/${one.id}`, { preserveScroll: true, onError: told }),
    });
}

const chooser = ref<HTMLInputElement>();
const file = useForm<{ roster: File | null }>({ roster: null });

function bringIn(event: Event): void {
    const input = event.target as HTMLInputElement;
    file.roster = input.files?.[0] ?? null;
    if (file.roster !== null) {
        file.post('/subscribers/roster', { forceFormData: true, preserveScroll: true, onFinish: () => (input.value = '') });
    }
}

useLookAgain(
    () => props.deliveries,
    () => props.deliveries.some((one) => one.waiting > 0),
    ['deliveries'],
);

useShortcuts([
    { keys: 'i', does: 'invite someone', run: beginInvitation },
    { keys: 't', does: 'a new tier', run: () => editTier(null) },
    { keys: 's', does: 'search the roster', run: () => document.getElementById('search-roster')?.focus() },
]);
</script>

<template>
    <AppShell title="Subscribers">
        <div class="page">
            <header>
                <h1>Subscribers</h1>
            </header>
            <div class="columns">
                <section aria-label="Roster">
                    <div class="bar">
                        <h2>
                            Roster <span class="muted">{{ roster.length }}</span>
                        </h2>
                        <InputText
                            id="search-roster"
                            v-model="sought"
                            size="small"
                            placeholder="search"
                            aria-label="Search the roster"
                        />
                        <Button label="Invite…" size="small" @click="beginInvitation" />
                        <Button
                            label="Bring in a CSV"
                            size="small"
                            severity="secondary"
                            outlined
                            :loading="file.processing"
                            @click="chooser?.click()"
                        />
                        <a href="/subscribers/roster">Take it out as CSV</a>
                        <input
                            ref="chooser"
                            type="file"
                            accept=".csv,.txt"
                            class="visually-hidden"
                            aria-label="A roster as CSV"
                            tabindex="-1"
                            @change="bringIn"
                        />
                    </div>
                    <p v-if="file.errors.roster" class="error" role="alert">{{ file.errors.roster }}</p>
                    <div v-if="report" class="report" role="status">
                        <p>
                            {{ report.invited }} invited, {{ report.changed }} given another tier, {{ report.same }} as they
                            were<template v-if="report.faults.length > 0">, {{ report.faults.length }} left out:</template
                            ><template v-else>.</template>
                        </p>
                        <ul>
                            <li v-for="fault in report.faults" :key="fault.line">Line {{ fault.line }}: {{ fault.reason }}</li>
                        </ul>
                    </div>
                    <DataTable
                        :value="shown"
                        data-key="id"
                        size="small"
                        :rows="15"
                        :paginator="shown.length > 15"
                        sort-field="name"
                        :sort-order="1"
                    >
                        <template #empty
                            >Nobody is on the roster{{ sought ? ' by these words' : ' yet: invite someone' }}.</template
                        >
                        <Column field="name" header="Name" sortable />
                        <Column field="address" header="Address" sortable />
                        <Column field="tier" header="Tier" sortable>
                            <template #body="{ data }: { data: SubscriberData }">
                                <Select
                                    :model-value="data.tier"
                                    :options="subscribed"
                                    option-label="name"
                                    option-value="key"
                                    size="small"
                                    :aria-label="`Tier of ${data.name}`"
                                    @update:model-value="
                                        router.patch(
                                            `/subscribers/${data.id}`,
                                            { tier: $event },
                                            { preserveScroll: true, onError: told },
                                        )
                                    "
                                />
                            </template>
                        </Column>
                        <Column field="standing" header="Member" sortable />
                        <Column header="Sent to them">
                            <template #body="{ data }: { data: SubscriberData }">{{
                                [data.getsMails ? 'mail' : '', data.getsWebhook ? 'webhook' : ''].filter(Boolean).join(', ') ||
                                'nothing'
                            }}</template>
                        </Column>
                        <Column header-style="width: 40px">
                            <template #header><span class="visually-hidden">Take off</span></template>
                            <template #body="{ data }: { data: SubscriberData }">
                                <Button
                                    icon="pi pi-trash"
                                    text
                                    size="small"
                                    severity="secondary"
                                    :aria-label="`Take ${data.name} off the roster`"
                                    @click="remove(data)"
                                />
                            </template>
                        </Column>
                    </DataTable>
                </section>
                <aside>
                    <section aria-label="Tiers">
                        <div class="bar">
                            <h2>Tiers</h2>
                            <Button label="New tier…" size="small" severity="secondary" outlined @click="editTier(null)" />
                        </div>
                        <ul class="tiers">
                            <li v-for="tier in levels" :key="tier.id">
                                <strong>{{ tier.name }}</strong>
                                <span class="muted">{{
                                    tier.isVisitors ? 'no account' : tier.readers === 1 ? '1 reader' : `${tier.readers} readers`
                                }}</span>
                                <Button
                                    icon="pi pi-pencil"
                                    text
                                    size="small"
                                    severity="secondary"
                                    :aria-label="`Change ${tier.name}`"
                                    @click="editTier(tier)"
                                />
                                <Button
                                    v-if="!tier.isVisitors"
                                    icon="pi pi-trash"
                                    text
                                    size="small"
                                    severity="secondary"
                                    :aria-label="`Take ${tier.name} away`"
                                    @click="
                                        router.delete(`/subscribers/tiers/${tier.id}`, { preserveScroll: true, onError: told })
                                    "
                                />
                                <span class="sees"
                                    >sees {{ seesOf(tier.sees)
                                    }}<template v-if="tier.opensAfterHours"
                                        >; everything {{ tier.opensAfterHours }} hours after publication</template
                                    ></span
                                >
                            </li>
                        </ul>
                        <p class="muted">
                            The highest first. A candidate says from which tier on it is meant to be read; lower ones see nothing
                            of it, until the edition opens to them.
                        </p>
                    </section>
                    <section aria-label="Deliveries">
                        <h2>Deliveries</h2>
                        <p v-if="deliveries.length === 0" class="muted">
                            Nothing has been delivered yet. An edition goes out when it is published.
                        </p>
                        <div v-for="one in deliveries" :key="one.title" class="delivery">
                            <Link :href="one.path">{{ one.title }}</Link>
                            <DeliveryProgress :deliveries="one" />
                        </div>
                    </section>
                </aside>
            </div>
        </div>
        <Dialog
            v-model:visible="tierOpen"
            modal
            :header="tierId === null ? 'A new tier' : 'Change the tier'"
            :style="{ width: '420px' }"
        >
            <form class="dialog-form" @submit.prevent="keepTier">
                <label for="tier-name">Name</label>
                <InputText id="tier-name" v-model="tierForm.name" size="small" :invalid="!!tierForm.errors.name" autofocus />
                <p v-if="tierForm.errors.name" class="error" role="alert">{{ tierForm.errors.name }}</p>
                <template v-if="tierId === null">
                    <span id="tier-after">Above</span>
                    <Select
                        v-model="tierForm.after"
                        :options="levels"
                        option-label="name"
                        option-value="key"
                        size="small"
                        aria-labelledby="tier-after"
                    />
                </template>
                <span id="tier-sees">Sees of a candidate</span>
                <Select
                    v-model="tierForm.sees"
                    :options="SEES"
                    option-label="label"
                    option-value="value"
                    size="small"
                    aria-labelledby="tier-sees"
                />
                <label for="tier-hours">Opens in full after so many hours; empty: never</label>
                <InputNumber
                    v-model="tierForm.opens_after_hours"
                    input-id="tier-hours"
                    size="small"
                    :min="1"
                    :max="8760"
                    :invalid="!!tierForm.errors.opens_after_hours"
                />
                <p v-if="tierForm.errors.opens_after_hours" class="error" role="alert">{{ tierForm.errors.opens_after_hours }}</p>
                <div class="dialog-buttons">
                    <Button type="button" label="Not now" text severity="secondary" @click="tierOpen = false" />
                    <Button type="submit" label="Keep" :loading="tierForm.processing" />
                </div>
            </form>
        </Dialog>
        <Dialog v-model:visible="inviting" modal header="Invite someone" :style="{ width: '420px' }">
            <form class="dialog-form" @submit.prevent="invite">
                <label for="invite-name">Name</label>
                <InputText
                    id="invite-name"
                    v-model="invitation.name"
                    size="small"
                    :invalid="!!invitation.errors.name"
                    autofocus
                />
                <p v-if="invitation.errors.name" class="error" role="alert">{{ invitation.errors.name }}</p>
                <label for="invite-address">Mail address</label>
                <InputText
                    id="invite-address"
                    v-model="invitation.address"
                    size="small"
                    type="email"
                    :invalid="!!invitation.errors.address"
                />
                <p v-if="invitation.errors.address" class="error" role="alert">{{ invitation.errors.address }}</p>
                <span id="invite-tier">Tier</span>
                <Select
                    v-model="invitation.tier"
                    :options="subscribed"
                    option-label="name"
                    option-value="key"
                    size="small"
                    aria-labelledby="invite-tier"
                />
                <div class="dialog-buttons">
                    <Button type="button" label="Not now" text severity="secondary" @click="inviting = false" />
                    <Button type="submit" label="Send the invitation" :loading="invitation.processing" />
                </div>
            </form>
        </Dialog>
    </AppShell>
</template>

<style scoped>
.page {
    padding: 12px 16px;
}
.columns {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 340px;
    gap: 32px;
}
.bar {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 12px;
    margin: 8px 0;
}
.bar h2 {
    margin-right: auto;
}
.bar h2 span {
    font-weight: 400;
}
.report {
    margin-bottom: 8px;
    padding: 8px 12px;
    background: var(--look-wash);
}
.report ul {
    margin: 4px 0 0;
    padding-left: 18px;
}
.error,
.fault {
    color: var(--stop);
}
aside {
    display: flex;
    flex-direction: column;
    gap: 20px;
}
.tiers {
    margin: 0;
    padding: 0;
    list-style: none;
}
.tiers li {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr) 32px 32px;
    align-items: center;
    gap: 0 8px;
    padding: 4px 0;
    border-top: 1px solid var(--hair);
}
.sees {
    grid-column: 1 / -1;
    font-size: 13px;
    color: var(--ink-2);
}
.delivery {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 2px 12px;
    padding: 6px 0;
    border-top: 1px solid var(--hair);
}
.delivery :deep(.fault),
.delivery :deep(.p-progressbar) {
    grid-column: 1 / -1;
}
.delivery :deep(.fault) {
    font-size: 13px;
    line-height: 18px;
}
@media (max-width: 900px) {
    .columns {
        grid-template-columns: minmax(0, 1fr);
    }
}
</style>
