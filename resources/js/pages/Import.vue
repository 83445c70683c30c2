<script setup lang="ts">
import { Link, router, useForm } from '@inertiajs/vue3';
import Button from 'primevue/button';
import Checkbox from 'primevue/checkbox';
import Column from 'primevue/column';
import DataTable from 'primevue/datatable';
import InputText from 'primevue/inputtext';
import ProgressBar from 'primevue/progressbar';
import Select from 'primevue/select';
import { useToast } from 'primevue/usetoast';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import AppShell from '@/components/AppShell.vue';
import ImportState from '@/components/ImportState.vue';
import { send } from '@/lib/http';
import { useShortcuts } from '@/lib/keys';
import type { ImportData, ImportPreviewData } from '@/types/data';

const props = defineProps<{ import: ImportData; preview: ImportPreviewData }>();

/** How often a running import is asked how far it is, in milliseconds. */
const ASK = 400;

const toast = useToast();
const run = ref<ImportData>(props.import);
let timer: number | undefined;

const form = useForm({
    delimiter: props.preview.delimiter,
    header: props.preview.header,
    columns: Object.fromEntries(props.preview.columns.map((one) => [one.field, one.column])) as Record<string, number | null>,
    dates: props.preview.dates,
    zone: props.preview.zone,
    timeFrame: props.preview.timeFrame,
    symbol: props.preview.symbol,
    decimal: props.preview.decimal,
});
const delimiters = [
    { label: 'comma', value: ',' },
    { label: 'semicolon', value: ';' },
    { label: 'tab', value: '\t' },
    { label: 'bar |', value: '|' },
];
const frames = [
    { label: 'days', value: '1d' },
    { label: 'five minutes', value: '5m' },
];
const decimals = [
    { label: 'point', value: '.' },
    { label: 'comma', value: ',' },
];
const columns = computed(() => [
    { label: 'not in the file', value: null },
    ...props.preview.head.map((name, i) => ({ label: `${i + 1}: ${name === '' ? '(empty)' : name}`, value: i })),
]);
const rows = computed(() =>
    props.preview.rows.map((row) => Object.fromEntries(row.values.map((value, i) => [props.preview.names[i], value]))),
);
const done = computed(() => run.value.state === 'done');
const share = computed(() => (run.value.total === 0 ? 0 : Math.round((run.value.done / run.value.total) * 100)));
const begins = computed(() =>
    ['refused', 'failed', 'cancelled'].includes(run.value.state) ? 'Check and import again' : 'Check and import',
);

watch(
    () => props.import,
    (next) => {
        run.value = next;
        follow();
    },
);

function keep(): void {
    form.patch(`/data/imports/${props.import.id}`, {
        preserveScroll: true,
        preserveState: true,
        only: ['preview', 'import', 'errors'],
    });
}

function begin(): void {
    router.post(
        `/data/imports/${props.import.id}/start`,
        {},
        {
            preserveScroll: true,
            preserveState: true,
            onError: (errors) => toast.add({ severity: 'warn', summary: Object.values(errors)[0], life: 6000 }),
        },
    );
}

function cancel(): void {
    router.post(`/data/imports/${props.import.id}/cancel`, {}, { preserveScroll: true, preserveState: true });
}

function follow(): void {
    window.clearTimeout(timer);
    if (run.value.underWay) {
        timer = window.setTimeout(() => void look(), ASK);
    }
}

async function look(): Promise<void> {
    try {
        run.value = await send<ImportData>('GET', `/data/imports/${props.import.id}/progress`);
    } catch {
        // asked again: an answer that is late is not an import that failed
    }
    follow();
}

onMounted(follow);
onBeforeUnmount(() => window.clearTimeout(timer));

useShortcuts([
    { keys: 'Ctrl+Enter', does: 'check and import', run: () => !done.value && !run.value.underWay && begin(), inFields: true },
    { keys: 'd', does: 'back to Data', run: () => router.visit('/data') },
]);
</script>

<template>
    <AppShell :title="`Import ${run.fileName}`">
        <div class="page">
            <p><Link href="/data">Data</Link></p>
            <header class="top">
                <div>
                    <h1>
                        {{ run.fileName }} <span class="name">{{ run.kindLabel }}</span>
                    </h1>
                    <p aria-live="polite"><ImportState :one="run" /></p>
                </div>
                <div class="act">
                    <Button
                        v-if="run.underWay && run.state !== 'writing'"
                        label="Cancel"
                        size="small"
                        severity="secondary"
                        outlined
                        @click="cancel"
                    />
                    <Button
                        v-if="!done && !run.underWay"
                        :label="begins"
                        size="small"
                        :disabled="preview.problem !== null || form.processing"
                        @click="begin"
                    />
                </div>
            </header>
            <ProgressBar v-if="run.underWay" :value="share" :show-value="false" style="height: 6px" aria-label="Lines checked" />
            <p v-if="run.underWay" class="muted">
                {{
                    run.state === 'writing'
                        ? 'All lines are good. They are being written in one go.'
                        : 'Every line is checked first. Nothing is written before all are good.'
                }}
            </p>

            <section v-if="run.faults.length > 0" aria-label="Lines that cannot be read">
                <h2 class="stop">
                    {{ run.faultCount === 1 ? 'One line' : `${run.faultCount} lines` }} cannot be read. Nothing was imported; the
                    file is kept.
                </h2>
                <p class="muted">Change how it is read below, or mend the file and import it again.</p>
                <DataTable :value="run.faults" size="small" paginator :rows="12" :always-show-paginator="false">
                    <Column field="line" header="Line" body-class="num" header-class="num-head" header-style="width: 70px" />
                    <Column field="field" header="Field" header-style="width: 160px" />
                    <Column field="reason" header="What is wrong" />
                    <Column field="text" header="The line"
                        ><template #body="{ data }"
                            ><code>{{ data.text }}</code></template
                        ></Column
                    >
                </DataTable>
                <p v-if="run.faultCount > run.faults.length" class="muted">and {{ run.faultCount - run.faults.length }} more.</p>
            </section>

            <section v-if="!done && !preview.calendar" aria-label="How the file is read">
                <h2>How it is read</h2>
                <div class="manner">
                    <label
                        >Columns parted by
                        <Select
                            v-model="form.delimiter"
                            :options="delimiters"
                            option-label="label"
                            option-value="value"
                            size="small"
                            @change="keep"
                    /></label>
                    <label class="check"
                        ><Checkbox v-model="form.header" binary @update:model-value="keep" /> The first line names them</label
                    >
                    <label
                        >Dates like
                        <Select
                            v-model="form.dates"
                            :options="preview.formats"
                            option-label="label"
                            option-value="value"
                            size="small"
                            @change="keep"
                    /></label>
                    <label
                        >in the zone <Select v-model="form.zone" :options="preview.zones" filter size="small" @change="keep"
                    /></label>
                    <template v-if="run.kind === 'bars'">
                        <label
                            >Decimal
                            <Select
                                v-model="form.decimal"
                                :options="decimals"
                                option-label="label"
                                option-value="value"
                                size="small"
                                @change="keep"
                        /></label>
                        <label v-if="form.columns.timeframe === null || form.columns.timeframe === undefined"
                            >Bars of
                            <Select
                                v-model="form.timeFrame"
                                :options="frames"
                                option-label="label"
                                option-value="value"
                                size="small"
                                @change="keep"
                        /></label>
                        <label v-if="form.columns.symbol === null || form.columns.symbol === undefined"
                            >Symbol of all
                            <InputText
                                v-model="form.symbol"
                                size="small"
                                class="symbol"
                                :invalid="!!form.errors.symbol"
                                @change="keep"
                        /></label>
                    </template>
                </div>
                <p v-for="(error, field) in form.errors" :key="field" class="error" role="alert">
                    {{ error }} What was kept before stays.
                </p>
                <div class="fields">
                    <label v-for="one in preview.columns" :key="one.field">
                        <span :class="{ needed: one.needed }">{{ one.field.replace('_', ' ') }}</span>
                        <Select
                            v-model="form.columns[one.field]"
                            :options="columns"
                            option-label="label"
                            option-value="value"
                            placeholder="not in the file"
                            size="small"
                            @change="keep"
                        />
                    </label>
                </div>
            </section>

            <section v-if="!done" aria-label="First lines">
                <h2>The first lines, as they are read</h2>
                <p v-if="preview.problem" class="error" role="alert">{{ preview.problem }}</p>
                <ul v-if="preview.faults.length > 0" class="list">
                    <li v-for="fault in preview.faults" :key="fault.line" class="error">
                        Line {{ fault.line }}, {{ fault.field }}: {{ fault.reason }}
                    </li>
                </ul>
                <DataTable v-if="rows.length > 0" :value="rows" size="small">
                    <Column v-for="name in preview.names" :key="name" :field="name" :header="name" />
                </DataTable>
            </section>
            <p v-else class="muted">
                {{
                    run.heldBack > 0
                        ? 'Bars held back: a published setup was judged on other figures, which stay; both stand in the record and on the page of the instrument.'
                        : 'To import it again, begin with the file on the Data page: what is known already changes nothing.'
                }}
            </p>
        </div>
    </AppShell>
</template>

<style scoped>
.page {
    padding: 12px 16px 32px;
}
.top {
    display: flex;
    justify-content: space-between;
    align-items: flex-start;
    gap: 24px;
    margin-bottom: 8px;
}
.name {
    font-weight: 400;
    color: var(--ink-2);
}
section {
    margin-top: 16px;
}
.manner,
.fields {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 20px;
    margin-top: 8px;
}
.manner label {
    display: inline-flex;
    align-items: center;
    gap: 6px;
}
.fields label {
    display: flex;
    flex-direction: column;
    gap: 2px;
    width: 150px;
}
.fields span {
    font-size: 13px;
    color: var(--ink-2);
}
.needed::after {
    content: ' (needed)';
    color: var(--ink-3);
}
.symbol {
    width: 120px;
}
code {
    font-size: 12px;
    overflow-wrap: anywhere;
}
.list {
    margin: 4px 0;
    padding: 0;
    list-style: none;
}
:deep(.num) {
    text-align: right;
}
:deep(.num-head .p-datatable-column-header-content) {
    justify-content: flex-end;
}
</style>
