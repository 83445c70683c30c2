<script setup lang="ts">
import { Link, router, useForm, usePage } from '@inertiajs/vue3';
import AutoComplete, { type AutoCompleteCompleteEvent, type AutoCompleteOptionSelectEvent } from 'primevue/autocomplete';
import Button from 'primevue/button';
import Column from 'primevue/column';
import DataTable, { type DataTableRowReorderEvent } from 'primevue/datatable';
import Dialog from 'primevue/dialog';
import InputText from 'primevue/inputtext';
import Menu from 'primevue/menu';
import Select from 'primevue/select';
import { useToast } from 'primevue/usetoast';
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import AppShell from '@/components/AppShell.vue';
import AskedFor from '@/components/AskedFor.vue';
import BesideDialog from '@/components/BesideDialog.vue';
import FactWords from '@/components/FactWords.vue';
import NoteDialog from '@/components/NoteDialog.vue';
import PlanBar from '@/components/PlanBar.vue';
import UndoButtons from '@/components/UndoButtons.vue';
import RStrip from '@/components/RStrip.vue';
import ScanDialog from '@/components/ScanDialog.vue';
import SparkLine from '@/components/SparkLine.vue';
import { send } from '@/lib/http';
import { useShortcuts } from '@/lib/keys';
import { readers } from '@/lib/tiers';
import { useUndo } from '@/lib/undo';
import { signed } from '@/lib/price';
import type { CandidateData, CandidateFactData, CandidateState, InstrumentData, PlanData, RequestData, Side } from '@/types/data';

const props = defineProps<{
    plan: PlanData;
    candidates: CandidateData[];
    requests: RequestData[];
    /** By candidate; they come after the page. */
    facts?: Record<number, CandidateFactData[]>;
    /** Symbols by industry; they come after the page. */
    leaders?: Record<string, string>;
}>();

const page = usePage();
const toast = useToast();
const chosenId = ref<number | null>(props.candidates[0]?.id ?? null);
const chosen = computed(() => props.candidates.find((one) => one.id === chosenId.value) ?? null);
const place = computed(() => props.candidates.findIndex((one) => one.id === chosenId.value));
const finder = ref<{ hide: () => void }>();
const found = ref<InstrumentData[]>([]);
const search = ref<string | InstrumentData>('');
const passing = ref<CandidateData | null>(null);
const passForm = useForm<{ state: CandidateState; reason: string; readers: string }>({
    state: 'passed',
    reason: '',
    readers: 'visitors',
});
const usualReasons = [
    'No level near enough for a stop.',
    'Earnings inside the hold.',
    'Too thin.',
    'Nothing to wait for yet.',
    'Against the bias.',
];
const tiers = computed(() => readers(page.props.tiers));
const tierName = (key: string): string => tiers.value.find((one) => one.value === key)?.label ?? key;
const readersMenu = ref<InstanceType<typeof Menu>>();
const readersOf = ref<CandidateData | null>(null);
const readerChoices = computed(() =>
    tiers.value.map((one) => ({
        label: one.label,
        command: () => readersOf.value !== null && judge(readersOf.value, { readers: one.value }),
    })),
);

function askReaders(candidate: CandidateData, event: Event): void {
    readersOf.value = candidate;
    readersMenu.value?.toggle(event);
}

const counts = computed(() => {
    const count = (state: CandidateState): number => props.candidates.filter((one) => one.state === state).length;
    const sides = (side: string): number =>
        props.candidates.filter(
            (one) =>
                one.state !== 'passed' && (one.side === side || one.variants.some((variant) => variant.strip?.side === side)),
        ).length;
    const [long, short] = [sides('long'), sides('short')];
    return `${count('kept')} kept, ${count('passed')} passed, ${count('new')} undecided${long + short > 0 ? `; ${long} long, ${short} short` : ''}`;
});

// What is typed runs ahead of what is found: Enter waits for the answer to what was typed last.
let asked = '';
let answered = '';
let enterWaits = false;

// Named here, since a function of the template would be another one at each drawing, and have all rows drawn with it.
const rowClass = (row: CandidateData): string[] => [row.state, `candidate-${row.id}`];

// The choice is marked from outside: as a part of the table it would have every row drawn anew at each step.
watch(
    [chosenId, () => props.candidates],
    ([id], before) => {
        document.querySelector('tr.chosen')?.classList.remove('chosen');
        const row = document.querySelector(`tr.candidate-${id}`);
        row?.classList.add('chosen');
        if (id !== before[0]) {
            row?.scrollIntoView({ block: 'nearest' });
        }
    },
    { flush: 'post' },
);
onMounted(() => document.querySelector(`tr.candidate-${chosenId.value}`)?.classList.add('chosen'));

async function find(event: AutoCompleteCompleteEvent): Promise<void> {
    const query = event.query;
    asked = query;
    try {
        const answer = await send<InstrumentData[]>('GET', `/instruments?q=${encodeURIComponent(query)}`);
        if (query !== asked) {
            return;
        }
        found.value = answer;
        answered = query;
        const first = answer[0];
        if (enterWaits && first !== undefined) {
            add(first);
        }
        enterWaits = false;
    } catch (error) {
        enterWaits = false;
        found.value = [];
        toast.add({ severity: 'error', summary: (error as Error).message, life: 6000 });
    }
}

function holdEnter(event: KeyboardEvent): void {
    const typed = (event.target as HTMLInputElement).value;
    if (typed.trim() !== '' && typed !== answered) {
        event.preventDefault();
        event.stopPropagation();
        enterWaits = true;
    }
}

function add(instrument: InstrumentData): void {
    search.value = '';
    answered = '';
    finder.value?.hide();
    put(
        instrument.id,
        {},
        () => (chosenId.value = props.candidates.find((one) => one.instrument.id === instrument.id)?.id ?? null),
    );
}

function put(instrument: number, more: { source?: 'scan'; note?: string }, done: () => void = () => undefined): void {
    router.post(
        '/plan/candidates',
        { instrument, ...more },
        {
            preserveScroll: true,
            preserveState: true,
            onError: (errors) =>
                toast.add({ severity: 'warn', summary: Object.values(errors)[0] ?? 'It could not be added.', life: 5000 }),
            onSuccess: done,
        },
    );
}

const listed = computed(() => props.candidates.map((one) => one.instrument.id));

function judge(
    candidate: CandidateData,
    change: Partial<{ state: CandidateState; reason: string; readers: string; theme: string }>,
): void {
    router.patch(
        `/plan/candidates/${candidate.id}`,
        { state: candidate.state, reason: candidate.reason, readers: candidate.readers, ...change },
        { preserveScroll: true, preserveState: true },
    );
}

function keep(candidate: CandidateData): void {
    judge(candidate, { state: 'kept', reason: '' });
}

function askPass(candidate: CandidateData): void {
    passForm.clearErrors();
    passForm.reason = candidate.reason;
    passForm.readers = candidate.readers;
    passing.value = candidate;
    void nextTick(() => document.getElementById('pass-reason')?.focus());
}

function pass(): void {
    const candidate = passing.value;
    if (candidate !== null) {
        passForm.patch(`/plan/candidates/${candidate.id}`, {
            preserveScroll: true,
            preserveState: true,
            onSuccess: () => (passing.value = null),
        });
    }
}

function moveTo(candidate: CandidateData, to: number): void {
    if (to >= 0 && to < props.candidates.length) {
        router.post(`/plan/candidates/${candidate.id}/move`, { place: to }, { preserveScroll: true, preserveState: true });
    }
}

function dropped(event: DataTableRowReorderEvent): void {
    const candidate = props.candidates[event.dragIndex];
    if (candidate !== undefined) {
        moveTo(candidate, event.dropIndex);
    }
}

function remove(candidate: CandidateData): void {
    router.delete(`/plan/candidates/${candidate.id}`, {
        preserveScroll: true,
        preserveState: true,
        onSuccess: () =>
            toast.add({
                severity: 'secondary',
                summary: `${candidate.instrument.symbol} is off the list. Ctrl+Z brings it back.`,
                life: 4000,
            }),
    });
}

function choose(step: 1 | -1): void {
    const next = props.candidates[Math.max(0, Math.min(props.candidates.length - 1, place.value + step))];
    chosenId.value = next?.id ?? null;
}

function onChosen(run: (candidate: CandidateData) => void): () => void {
    return () => {
        if (chosen.value !== null) {
            run(chosen.value);
        }
    };
}

const requestsOpen = ref(false);
// What comes after the page is left in place while a change has it read anew.
const factsRead = ref<Record<number, CandidateFactData[]>>({});
const leadersRead = ref<Record<string, string>>({});
watch(
    () => [props.facts, props.leaders] as const,
    ([lateFacts, lateLeaders]) => {
        factsRead.value = lateFacts ?? factsRead.value;
        leadersRead.value = lateLeaders ?? leadersRead.value;
    },
    { immediate: true },
);
const theming = ref(false);
const sourcing = ref(false);
const beside = ref<CandidateData | null>(null);
const themes = computed(() => [...new Set(props.candidates.map((one) => one.theme).filter((one) => one !== ''))]);

function change(candidate: CandidateData, what: 'side' | 'source', data: { side: Side | null } | { note: string }): void {
    router.patch(`/plan/candidates/${candidate.id}/${what}`, data, {
        preserveScroll: true,
        preserveState: true,
        onError: (errors) =>
            toast.add({ severity: 'warn', summary: Object.values(errors)[0] ?? 'It could not be changed.', life: 6000 }),
    });
}

/** The side leaned to; the same key again leaves it open. */
function lean(candidate: CandidateData, side: Side): void {
    change(candidate, 'side', { side: candidate.side === side ? null : side });
}

const scanning = ref(false);

type Order = 'theme' | 'group' | 'kind';
const GROUPS = 'watchpost-candidate-groups';
const together = ref<Order | 'none'>((localStorage.getItem(GROUPS) as Order | null) ?? 'none');
const orders: { value: Order | 'none'; label: string }[] = [
    { value: 'none', label: 'No groups' },
    { value: 'theme', label: 'By theme' },
    { value: 'group', label: 'By industry' },
    { value: 'kind', label: 'By kind of setup' },
];

function bringTogether(by: Order | 'none'): void {
    together.value = by;
    localStorage.setItem(GROUPS, by);
    if (by !== 'none') {
        router.post('/plan/candidates/order', { by }, { preserveScroll: true, preserveState: true });
    }
}

function nextGroups(): void {
    const at = orders.findIndex((one) => one.value === together.value);
    bringTogether(orders[(at + 1) % orders.length]?.value ?? 'none');
}

function groupOf(candidate: CandidateData): string {
    const of = { none: '', theme: candidate.theme, group: candidate.instrument.group, kind: candidate.kindOfSetup };
    return of[together.value] || { none: '', theme: 'No theme', group: 'No industry', kind: 'No kind yet' }[together.value];
}

/** The table groups by a field of its rows. */
const rows = computed(() => props.candidates.map((one) => ({ ...one, together: groupOf(one) })));

function groupWords(name: string): string {
    const count = props.candidates.filter((one) => groupOf(one) === name).length;
    const leader = together.value === 'group' ? leadersRead.value[name] : undefined;
    return `${count} ${count === 1 ? 'candidate' : 'candidates'}${leader === undefined ? '' : `, led by ${leader} over 60 sessions`}`;
}

const { travel, undoKeys } = useUndo();

useShortcuts([
    { keys: 'a', does: 'add an instrument', run: () => document.getElementById('add-instrument')?.focus() },
    { keys: 'f', does: 'find by a scan', run: () => (scanning.value = true) },
    { keys: 'ArrowDown', does: 'next candidate', run: () => choose(1) },
    { keys: 'ArrowUp', does: 'candidate before', run: () => choose(-1) },
    { keys: 'k', does: 'keep it', run: onChosen(keep) },
    { keys: 'p', does: 'pass it, with the reason', run: onChosen(askPass) },
    { keys: 'l', does: 'long, before there is a setup', run: onChosen((one) => lean(one, 'long')) },
    { keys: 's', does: 'short, before there is a setup', run: onChosen((one) => lean(one, 'short')) },
    { keys: 'b', does: 'beside others of its industry', run: onChosen((one) => (beside.value = one)) },
    { keys: 't', does: 'put it into a theme', run: onChosen(() => (theming.value = true)) },
    { keys: 'n', does: 'note where it comes from', run: onChosen(() => (sourcing.value = true)) },
    { keys: 'g', does: 'bring groups together: theme, industry, kind of setup', run: nextGroups },
    { keys: 'r', does: 'what readers ask for', run: () => (requestsOpen.value = true) },
    { keys: 'Alt+ArrowUp', does: 'move it up', run: onChosen((one) => moveTo(one, place.value - 1)) },
    { keys: 'Alt+ArrowDown', does: 'move it down', run: onChosen((one) => moveTo(one, place.value + 1)) },
    { keys: 'Enter', does: 'mark and plan it', run: onChosen((one) => router.visit(`/plan/mark/${one.id}`)) },
    { keys: 'Delete', does: 'take it off the list', run: onChosen(remove) },
    ...undoKeys,
]);
</script>

<template>
    <AppShell title="Candidates" step="candidates">
        <div class="page">
            <header class="top">
                <div>
                    <h1>Candidates for {{ plan.session }}</h1>
                    <p class="muted">Opens {{ plan.opens }}.</p>
                    <p class="muted">{{ candidates.length === 0 ? 'The list is empty.' : `${counts}.` }}</p>
                </div>
                <div class="add" @keydown.enter.capture="holdEnter">
                    <label for="add-instrument">Add <kbd>a</kbd></label>
                    <AutoComplete
                        ref="finder"
                        v-model="search"
                        input-id="add-instrument"
                        :suggestions="found"
                        option-label="symbol"
                        placeholder="symbol or name"
                        :delay="0"
                        auto-option-focus
                        empty-search-message="Nothing on the exchange has this symbol or name."
                        show-empty-message
                        @complete="find"
                        @option-select="add(($event as AutoCompleteOptionSelectEvent).value as InstrumentData)"
                    >
                        <template #option="{ option }: { option: InstrumentData }">
                            <span class="option">
                                <strong>{{ option.symbol }}</strong> {{ option.name }}
                                <span class="muted">{{ option.kind }}</span>
                            </span>
                        </template>
                    </AutoComplete>
                    <Button size="small" severity="secondary" outlined @click="scanning = true">Find <kbd>f</kbd></Button>
                    <Button v-if="requests.length > 0" size="small" severity="secondary" outlined @click="requestsOpen = true">
                        {{ requests.length }} asked for <kbd>r</kbd>
                    </Button>
                    <Select
                        :model-value="together"
                        :options="orders"
                        option-label="label"
                        option-value="value"
                        size="small"
                        aria-label="Groups"
                        class="groups"
                        @update:model-value="bringTogether($event)"
                    />
                    <PlanBar :plan="plan" />
                    <UndoButtons :undo="plan.undo" :redo="plan.redo" @travel="travel" />
                </div>
            </header>

            <div v-if="candidates.length === 0" class="empty">
                <h2>No candidates yet</h2>
                <p>
                    Press <kbd>a</kbd> and type a symbol or a name of the exchange. Then keep what is worth a plan and pass the
                    rest with a reason.
                </p>
            </div>
            <DataTable
                v-else
                :value="rows"
                data-key="id"
                size="small"
                :row-class="rowClass"
                :row-group-mode="together === 'none' ? undefined : 'subheader'"
                :group-rows-by="together === 'none' ? undefined : 'together'"
                @row-click="chosenId = ($event.data as CandidateData).id"
                @row-dblclick="router.visit(`/plan/mark/${($event.data as CandidateData).id}`)"
                @row-reorder="dropped"
            >
                <template #groupheader="{ data }: { data: CandidateData }">
                    <strong>{{ groupOf(data) }}</strong> <span class="muted">{{ groupWords(groupOf(data)) }}</span>
                </template>
                <Column row-reorder header-style="width: 36px" :reorderable-column="false">
                    <template #header><span class="visually-hidden">Order</span></template>
                </Column>
                <Column header="Symbol">
                    <template #body="{ data }: { data: CandidateData }">
                        <Link :href="`/plan/mark/${data.id}`" class="symbol">{{ data.instrument.symbol }}</Link>
                        <span class="kind">{{ data.instrument.kind }}</span>
                        <span class="name">{{ data.instrument.name }}</span>
                        <span v-if="together !== 'group'" class="name">{{ data.instrument.group }}</span>
                        <span v-if="data.source !== 'typed' || data.sourceNote !== ''" class="name">{{ data.from }}</span>
                    </template>
                </Column>
                <Column v-if="themes.length > 0" header="Theme">
                    <template #body="{ data }: { data: CandidateData }">{{ data.theme }}</template>
                </Column>
                <Column header="30 sessions">
                    <template #body="{ data }: { data: CandidateData }">
                        <SparkLine
                            v-if="data.closes.length > 1"
                            :values="data.closes.slice(-30)"
                            :levels="data.levels"
                            :width="96"
                            :height="34"
                            :label="`Closes of ${data.instrument.symbol}, 30 sessions, with ${data.levelCount} levels`"
                        />
                    </template>
                </Column>
                <Column header="Last" body-class="num" header-class="num-head">
                    <template #body="{ data }: { data: CandidateData }">
                        {{ data.lastClose }}<span class="name">{{ data.change === null ? '' : `${signed(data.change)} %` }}</span>
                    </template>
                </Column>
                <Column header="Facts" header-style="width: 20%">
                    <template #body="{ data }: { data: CandidateData }">
                        <FactWords v-if="factsRead[data.id]" :facts="factsRead[data.id] ?? []" />
                    </template>
                </Column>
                <Column header="Decision">
                    <template #body="{ data }: { data: CandidateData }">
                        <div class="decision">
                            <button type="button" class="small" :aria-pressed="data.state === 'kept'" @click.stop="keep(data)">
                                <i v-if="data.state === 'kept'" class="pi pi-check" aria-hidden="true" />
                                {{ data.state === 'kept' ? 'Kept' : 'Keep' }}
                            </button>
                            <button
                                type="button"
                                class="small"
                                :aria-pressed="data.state === 'passed'"
                                @click.stop="askPass(data)"
                            >
                                {{ data.state === 'passed' ? 'Passed' : 'Pass' }}
                            </button>
                        </div>
                    </template>
                </Column>
                <Column header="Setup" header-style="width: 29%">
                    <template #body="{ data }: { data: CandidateData }">
                        <span v-if="data.state === 'passed'" class="reason">{{ data.verdict }}</span>
                        <template v-else-if="data.variants.some((one) => one.strip !== null)">
                            <div v-for="one in data.variants" :key="one.number" class="set">
                                <RStrip v-if="one.strip" :strip="one.strip" :width="130" />
                                <span v-else class="muted">not complete yet</span>
                                <span class="sentence" :title="one.sentence ?? ''">{{
                                    data.variants.length === 1 ? one.short : `${one.name}: ${one.short ?? ''}`
                                }}</span>
                            </div>
                            <span v-if="data.standing !== ''" class="name">{{ data.standing }}</span>
                        </template>
                        <span v-else class="muted"
                            ><strong v-if="data.side !== null" :class="data.side">{{ data.side }}, </strong
                            >{{ data.standing || data.setupNote
                            }}{{ data.levelCount > 0 ? `, ${data.levelCount} levels marked` : '' }}</span
                        >
                    </template>
                </Column>
                <Column header="Read by">
                    <template #body="{ data }: { data: CandidateData }">
                        <button
                            type="button"
                            class="tier"
                            aria-haspopup="menu"
                            :aria-label="`Read by ${tierName(data.readers)}: change it for ${data.instrument.symbol}`"
                            @click.stop="askReaders(data, $event)"
                        >
                            {{ tierName(data.readers) }} <i class="pi pi-chevron-down" aria-hidden="true" />
                        </button>
                    </template>
                </Column>
                <Column header-style="width: 40px">
                    <template #header><span class="visually-hidden">Remove</span></template>
                    <template #body="{ data }: { data: CandidateData }">
                        <button
                            type="button"
                            class="small bare"
                            :aria-label="`Take ${data.instrument.symbol} off the list`"
                            @click.stop="remove(data)"
                        >
                            <i class="pi pi-trash" aria-hidden="true" />
                        </button>
                    </template>
                </Column>
            </DataTable>
        </div>

        <Dialog
            :visible="passing !== null"
            modal
            :header="`Pass ${passing?.instrument.symbol}`"
            :style="{ width: '440px' }"
            @update:visible="passing = null"
        >
            <form class="pass" @submit.prevent="pass">
                <label for="pass-reason">Why? The reason is published with the plan.</label>
                <InputText id="pass-reason" v-model="passForm.reason" maxlength="200" :invalid="!!passForm.errors.reason" fluid />
                <p v-if="passForm.errors.reason" class="error" role="alert">{{ passForm.errors.reason }}</p>
                <div class="usual">
                    <Button
                        v-for="reason in usualReasons"
                        :key="reason"
                        :label="reason"
                        text
                        size="small"
                        severity="secondary"
                        @click="passForm.reason = reason"
                    />
                </div>
                <div class="end">
                    <Button label="Leave it" text severity="secondary" size="small" @click="passing = null" />
                    <Button type="submit" label="Pass" size="small" :loading="passForm.processing" />
                </div>
            </form>
        </Dialog>
        <Menu ref="readersMenu" :model="readerChoices" popup />
        <AskedFor v-model:visible="requestsOpen" :requests="requests" />
        <NoteDialog
            v-model:visible="theming"
            :header="`The theme of ${chosen?.instrument.symbol ?? ''}`"
            label="Theme"
            :text="chosen?.theme ?? ''"
            :most="60"
            :known="themes"
            @keep="chosen && judge(chosen, { theme: $event })"
        >
            Those of one theme, one after the other, stand under its name in the edition.
        </NoteDialog>
        <NoteDialog
            v-model:visible="sourcing"
            :header="`Where ${chosen?.instrument.symbol ?? ''} comes from`"
            label="Where it comes from"
            :text="chosen?.sourceNote ?? ''"
            :most="120"
            @keep="chosen && change(chosen, 'source', { note: $event })"
        >
            For an idea that is not your own: who told it, and where. Empty for one of your own.
        </NoteDialog>
        <ScanDialog v-model:visible="scanning" :listed="listed" @add="(id, note) => put(id, { source: 'scan', note })" />
        <BesideDialog :candidate="beside" :listed="listed" @close="beside = null" @add="(id, note) => put(id, { note })" />
    </AppShell>
</template>

<style scoped>
.page {
    padding: 12px 16px;
}
.top {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 16px;
    margin-bottom: 12px;
}
.add {
    display: flex;
    align-items: center;
    gap: 8px;
}
.add {
    flex: none;
}
.add label,
.add :deep(button) {
    white-space: nowrap;
}
.add label {
    font-weight: 600;
}
.add :deep(.p-autocomplete-input) {
    width: 150px;
}
.option {
    display: inline-flex;
    gap: 8px;
}
.empty {
    max-width: 520px;
    margin: 12vh auto;
    text-align: center;
    line-height: 22px;
}
.symbol {
    margin-right: 6px;
    font-weight: 650;
    text-decoration: none;
}
.kind {
    font-size: 13px;
    color: var(--ink-3);
}
.long {
    color: var(--long);
}
.short {
    color: var(--short);
}
.groups {
    width: 128px;
}
.name {
    display: block;
    font-size: 13px;
    line-height: 16px;
    color: var(--ink-3);
}
/* it spans one column less than there are */
:deep(.p-datatable-row-group-header) {
    background: var(--sheet);
}
:deep(.num) {
    text-align: right;
}
:deep(.num-head .p-datatable-column-header-content) {
    justify-content: flex-end;
}
:deep(tr.chosen > td) {
    background: var(--wash);
}
:deep(tr.chosen > td:first-child) {
    box-shadow: inset 3px 0 0 var(--ink);
}
:deep(tr.passed .symbol) {
    color: var(--ink-3);
    text-decoration: line-through;
}
:deep(button[aria-pressed='true']) {
    background: var(--hair);
    border-color: var(--hair-2);
    color: var(--ink);
    font-weight: 650;
}
.decision {
    display: flex;
    gap: 4px;
}
.set {
    display: grid;
    grid-template-columns: 130px minmax(0, 1fr);
    gap: 12px;
    align-items: center;
}
.sentence {
    display: -webkit-box;
    overflow: hidden;
    font-size: 13px;
    line-height: 17px;
    -webkit-box-orient: vertical;
    -webkit-line-clamp: 3;
    line-clamp: 3;
}
.reason {
    color: var(--ink-2);
    font-size: 13px;
}
/* Plain buttons: with 150 names, those of the library would take as long to draw as all the rest. */
.small,
.tier {
    padding: 4px 8px;
    border: 1px solid var(--hair-2);
    border-radius: 2px;
    background: none;
    color: var(--ink-2);
    font: inherit;
    font-size: 13px;
    white-space: nowrap;
    cursor: pointer;
}
.small:hover,
.tier:hover {
    border-color: var(--ink-3);
    color: var(--ink);
}
.small i {
    margin-right: 4px;
    font-size: 11px;
}
.bare {
    border-color: transparent;
}
.bare i {
    margin: 0;
    font-size: 13px;
}
.tier {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 8px;
    min-width: 96px;
}
.tier i {
    font-size: 10px;
}
.pass {
    display: flex;
    flex-direction: column;
    gap: 8px;
}
.usual {
    display: flex;
    flex-wrap: wrap;
}
.end {
    display: flex;
    justify-content: flex-end;
    gap: 8px;
}
</style>
