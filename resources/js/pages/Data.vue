<script setup lang="ts">
import { Deferred, Link, router, useForm, usePage } from '@inertiajs/vue3';
import Button from 'primevue/button';
import Column from 'primevue/column';
import DataTable from 'primevue/datatable';
import InputText from 'primevue/inputtext';
import SelectButton from 'primevue/selectbutton';
import { computed, ref } from 'vue';
import AppShell from '@/components/AppShell.vue';
import ImportState from '@/components/ImportState.vue';
import { useShortcuts } from '@/lib/keys';
import type { DataPageData, ImportKind, InstrumentRowData } from '@/types/data';

const props = defineProps<{ data: DataPageData; instruments?: InstrumentRowData[] }>();

const page = usePage();
const sought = ref('');
const over = ref(false);
const chooser = ref<HTMLInputElement>();
const form = useForm<{ kind: ImportKind; file: File | null }>({ kind: 'bars', file: null });
const kinds: { label: string; value: ImportKind }[] = [
    { label: 'Bars', value: 'bars' },
    { label: 'Instruments', value: 'instruments' },
    { label: 'Events', value: 'events' },
];
const shown = computed(() => {
    const words = sought.value.trim().toLowerCase();
    return (props.instruments ?? []).filter((one) =>
        [one.symbol, one.name, one.kind, one.group, one.exchange].some((text) => text.toLowerCase().includes(words)),
    );
});

function take(file: File | undefined): void {
    if (file !== undefined) {
        form.file = file;
        form.clearErrors();
        if (/^(bars|instruments|events)/i.test(file.name)) {
            form.kind = file.name.toLowerCase().match(/^[a-z]+/)?.[0] as ImportKind;
        } else if (file.name.toLowerCase().endsWith('.ics')) {
            form.kind = 'events';
        }
    }
}

function upload(): void {
    form.post('/data/imports', { forceFormData: true, preserveState: true });
}

useShortcuts([
    { keys: 'i', does: 'choose a file to import', run: () => chooser.value?.click() },
    { keys: 's', does: 'search the instruments', run: () => document.getElementById('search-instruments')?.focus() },
]);
</script>

<template>
    <AppShell title="Data">
        <div class="page">
            <h1>Data</h1>
            <div class="columns">
                <section aria-label="Import">
                    <h2>Import a file</h2>
                    <form
                        class="drop"
                        :class="{ over }"
                        @submit.prevent="upload"
                        @dragover.prevent="over = true"
                        @dragleave="over = false"
                        @drop.prevent="((over = false), take($event.dataTransfer?.files[0]))"
                    >
                        <SelectButton
                            v-model="form.kind"
                            :options="kinds"
                            option-label="label"
                            option-value="value"
                            :allow-empty="false"
                            size="small"
                            aria-label="What the file holds"
                        />
                        <label class="file">
                            <input
                                id="import-file"
                                ref="chooser"
                                type="file"
                                accept=".csv,.txt,.tsv,.ics"
                                @change="take(($event.target as HTMLInputElement).files?.[0])"
                            />
                            <span>{{
                                form.file === null ? 'Choose a CSV file, or drop it here; events also as .ics' : form.file.name
                            }}</span>
                        </label>
                        <Button
                            type="submit"
                            label="Look at it"
                            size="small"
                            :disabled="form.file === null"
                            :loading="form.processing"
                        />
                        <p v-if="form.progress" class="muted">{{ Math.round(form.progress.percentage ?? 0) }} % sent</p>
                        <p v-if="form.errors.file || form.errors.kind" class="error" role="alert">
                            {{ form.errors.file ?? form.errors.kind }}
                        </p>
                        <p class="muted small">Nothing is imported before you have seen how it is read.</p>
                    </form>
                    <h2>Imports</h2>
                    <ul class="list">
                        <li v-for="one in data.imports" :key="one.id">
                            <Link :href="`/data/imports/${one.id}`" class="strong">{{ one.fileName }}</Link>
                            <span class="muted">{{ one.kindLabel }}</span>
                            <ImportState :one="one" />
                        </li>
                        <li v-if="data.imports.length === 0" class="muted">No file has been imported yet.</li>
                    </ul>
                </section>
                <section aria-label="Feed and clock">
                    <h2>Feed</h2>
                    <p class="line">{{ data.feed }} delivers the bars.</p>
                    <h2>Clock</h2>
                    <p v-if="page.props.clock" class="line">
                        <strong>{{ page.props.clock.date }}, {{ page.props.clock.time }} Quay time</strong> ({{
                            page.props.clock.utc
                        }}
                        UTC), {{ page.props.clock.session }}. {{ data.clock }} No bar later than it can be seen. Its controls open
                        from the clock above.
                    </p>
                    <h2>Watched folder</h2>
                    <p class="line">
                        Files named bars-…, instruments-… or events-… in <code>{{ data.folder }}</code> are taken in by the same
                        rules and moved to “done” or “refused”.
                    </p>
                    <p class="line">
                        {{ data.waiting.length === 0 ? 'No file waits.' : `Waiting: ${data.waiting.join(', ')}.` }}
                        <Button
                            label="Take in now"
                            size="small"
                            text
                            severity="secondary"
                            @click="router.post('/data/folder', {}, { preserveScroll: true })"
                        />
                    </p>
                    <h2>Export</h2>
                    <p class="line">
                        <a href="/data/export/instruments">Instruments</a>, <a href="/data/export/events">events</a>,
                        <a href="/data/export/calendar">events as calendar</a>; bars from the page of their instrument.
                    </p>
                </section>
                <section aria-label="Exchanges">
                    <h2>Exchanges</h2>
                    <dl class="exchanges">
                        <div v-for="one in data.exchanges" :key="one.name">
                            <dt>
                                {{ one.name }}
                                <span class="muted">{{
                                    one.instruments === 1 ? '1 instrument' : `${one.instruments} instruments`
                                }}</span>
                            </dt>
                            <dd>{{ one.hours }}</dd>
                            <dd>
                                {{ one.now
                                }}<span v-if="one.extended !== 'none'" class="muted">; prices also {{ one.extended }}</span>
                            </dd>
                            <dd v-if="one.exceptions" class="muted small">Next: {{ one.exceptions }}</dd>
                        </div>
                    </dl>
                </section>
            </div>
            <section aria-label="Instruments" class="instruments">
                <div class="head">
                    <h2>Instruments</h2>
                    <InputText
                        id="search-instruments"
                        v-model="sought"
                        size="small"
                        placeholder="symbol, name, kind, group"
                        aria-label="Search the instruments"
                    />
                    <span class="muted">{{ shown.length }}</span>
                </div>
                <Deferred data="instruments">
                    <template #fallback><p class="muted">Counting the bars…</p></template>
                    <DataTable
                        :value="shown"
                        size="small"
                        data-key="symbol"
                        paginator
                        :rows="20"
                        sort-field="symbol"
                        :sort-order="1"
                        @row-click="router.visit(`/instruments/${($event.data as InstrumentRowData).symbol}`)"
                    >
                        <Column field="symbol" header="Symbol" sortable>
                            <template #body="{ data: row }: { data: InstrumentRowData }">
                                <Link :href="`/instruments/${row.symbol}`" class="strong">{{ row.symbol }}</Link>
                            </template>
                        </Column>
                        <Column field="name" header="Name" sortable />
                        <Column field="kind" header="Kind" sortable />
                        <Column field="group" header="Group" sortable />
                        <Column field="exchange" header="Exchange" sortable />
                        <Column field="days" header="Days" sortable body-class="num" header-class="num-head">
                            <template #body="{ data: row }: { data: InstrumentRowData }">{{
                                row.days.toLocaleString('en-GB')
                            }}</template>
                        </Column>
                        <Column field="fine" header="Bars of 5 min" sortable body-class="num" header-class="num-head">
                            <template #body="{ data: row }: { data: InstrumentRowData }">{{
                                row.fine.toLocaleString('en-GB')
                            }}</template>
                        </Column>
                        <Column field="from" header="Since">
                            <template #body="{ data: row }: { data: InstrumentRowData }">{{ row.from ?? 'no bars' }}</template>
                        </Column>
                        <Column field="lastBar" header="Last bar" />
                        <template #empty>{{
                            sought === '' ? 'No instruments yet: import a file of them.' : 'No instrument fits.'
                        }}</template>
                    </DataTable>
                </Deferred>
            </section>
        </div>
    </AppShell>
</template>

<style scoped>
.page {
    padding: 12px 16px 32px;
}
.columns {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 32px;
    margin-top: 8px;
}
.columns h2:not(:first-child) {
    margin-top: 16px;
}
.drop {
    display: flex;
    flex-direction: column;
    align-items: flex-start;
    gap: 8px;
    margin-top: 4px;
    padding: 12px;
    border: 1px dashed var(--hair-2);
}
.drop.over {
    background: var(--wash);
}
.file {
    width: 100%;
    cursor: pointer;
    text-decoration: underline;
    text-underline-offset: 3px;
}
.file input {
    position: absolute;
    opacity: 0;
    width: 1px;
}
.file input:focus-visible + span {
    outline: 2px solid var(--focus);
}
.list {
    margin: 0;
    padding: 0;
    list-style: none;
}
.list li {
    display: flex;
    flex-wrap: wrap;
    gap: 0 8px;
    padding: 4px 0;
    border-bottom: 1px solid var(--hair);
}
.line {
    margin-top: 2px;
    line-height: 19px;
}
code {
    font-size: 12px;
    overflow-wrap: anywhere;
}
.exchanges {
    margin: 0;
}
.exchanges div {
    padding: 4px 0;
    border-bottom: 1px solid var(--hair);
}
.exchanges dt {
    font-weight: 600;
}
.exchanges dd {
    margin: 0;
    line-height: 18px;
}
.instruments {
    margin-top: 24px;
}
.head {
    display: flex;
    align-items: center;
    gap: 12px;
    margin-bottom: 4px;
}
.strong {
    font-weight: 650;
}
.small {
    font-size: 12px;
    line-height: 16px;
}
:deep(.num) {
    text-align: right;
}
:deep(.num-head .p-datatable-column-header-content) {
    justify-content: flex-end;
}
:deep(.p-datatable-tbody > tr) {
    cursor: pointer;
}
@media (max-width: 1000px) {
    .columns {
        grid-template-columns: minmax(0, 1fr);
    }
}
</style>
