<script setup lang="ts">
import { Link, router, usePage } from '@inertiajs/vue3';
import Button from 'primevue/button';
import SelectButton from 'primevue/selectbutton';
import Textarea from 'primevue/textarea';
import { useToast } from 'primevue/usetoast';
import { computed, nextTick, ref, watch } from 'vue';
import AppShell from '@/components/AppShell.vue';
import EditionChart from '@/components/EditionChart.vue';
import FollowedFacts from '@/components/FollowedFacts.vue';
import RStrip from '@/components/RStrip.vue';
import UndoButtons from '@/components/UndoButtons.vue';
import UpdateDialog from '@/components/UpdateDialog.vue';
import { send } from '@/lib/http';
import { useShortcuts } from '@/lib/keys';
import { signed } from '@/lib/price';
import { useUndo } from '@/lib/undo';
import { useWidth } from '@/lib/width';
import type { EditionPartData, PlanData, ReasonJudgement, Relation, ResultJudgement, ReviewData } from '@/types/data';

/** The look back that opens an evening. */
const props = defineProps<{ plan: PlanData; review: ReviewData }>();

const page = usePage();
const toast = useToast();
const mayUpdate = computed(() => page.props.person?.mayPublish ?? false);
const items = computed(() => props.review.groups.flatMap((group) => group.items));
const chosenId = ref<number | null>((items.value.find((item) => !item.isSettled) ?? items.value[0])?.id ?? null);
const chosen = computed(() => items.value.find((item) => item.id === chosenId.value) ?? null);
const updating = ref(false);
const note = ref('');
const pane = ref<HTMLElement>();
const width = useWidth(pane, 800);
// the judgement stays in view below it
const chartHeight = Math.max(300, Math.min(520, window.innerHeight - 350));
const chartWidth = computed(() => (width.value > 640 ? Math.round(width.value * 0.56) : width.value));

/** Charts that were fetched, by setup; a later look is at once. */
const charts = ref(new Map<number, EditionPartData>());
const shownPart = computed(() => (chosenId.value === null ? null : (charts.value.get(chosenId.value) ?? null)));

watch(
    chosen,
    (item, before) => {
        if (item?.id !== before?.id) {
            note.value = item?.note ?? '';
            void nextTick(() => document.querySelector('.item.chosen')?.scrollIntoView({ block: 'nearest' }));
        }
        if (item !== null) {
            void fetchChart(item.id);
            const next = items.value[items.value.findIndex((one) => one.id === item.id) + 1];
            if (next !== undefined) {
                void fetchChart(next.id);
            }
        }
    },
    { immediate: true },
);

async function fetchChart(id: number): Promise<void> {
    if (charts.value.has(id)) {
        return;
    }
    try {
        charts.value.set(id, await send<EditionPartData>('GET', `/plan/review/${id}`));
    } catch (error) {
        toast.add({ severity: 'error', summary: (error as Error).message, life: 6000 });
    }
}

function step(by: number): void {
    const at = items.value.findIndex((item) => item.id === chosenId.value);
    chosenId.value = items.value[Math.max(0, Math.min(items.value.length - 1, at + by))]?.id ?? null;
}

const keep = { preserveScroll: true, preserveState: true, onError: told };

function told(errors: Record<string, string>): void {
    toast.add({ severity: 'error', summary: Object.values(errors)[0] ?? 'Nothing was changed.', life: 8000 });
}

function judge(change: { reason?: ReasonJudgement | null; result?: ResultJudgement | null; note?: string }): void {
    const item = chosen.value;
    if (item !== null) {
        router.patch(`/plan/review/${item.id}`, { reason: item.reason, result: item.result, note: note.value, ...change }, keep);
    }
}

function keepNote(): void {
    if (chosen.value !== null && note.value.trim() !== chosen.value.note) {
        judge({ note: note.value });
    }
}

function carry(relation: Relation): void {
    const item = chosen.value;
    if (item === null) {
        return;
    }
    if (!item.offers.includes(relation)) {
        const first = item.offers[0];
        if (relation !== 'replaces' || first === undefined) {
            told({ relation: `${item.symbol} is over: only a new setup can continue it.` });
            return;
        }
        relation = first;
    }
    router.post(`/plan/review/${item.id}/carry`, { relation }, keep);
}

function letGo(): void {
    if (chosen.value !== null) {
        router.post(`/plan/review/${chosen.value.id}/let-go`, { let_go: !chosen.value.isLetGo }, keep);
    }
}

function update(): void {
    if (!mayUpdate.value) {
        told({ update: 'Only the author publishes updates.' });
    } else if (chosen.value !== null) {
        updating.value = true;
    }
}

const reasons: { label: string; value: ReasonJudgement }[] = [
    { label: 'Held', value: 'held' },
    { label: 'Partly', value: 'partly' },
    { label: 'Failed', value: 'failed' },
];
const results: { label: string; value: ResultJudgement }[] = [
    { label: 'Deserved', value: 'deserved' },
    { label: 'Lucky', value: 'lucky' },
    { label: 'Unlucky', value: 'unlucky' },
];
const OFFERS: Record<Relation, { label: string; key: string }> = {
    still: { label: 'Still stands', key: 'c' },
    replaces: { label: 'Replace', key: 'n' },
    continues: { label: 'Plan it anew', key: 'n' },
    adds_to: { label: 'Add to it', key: 'a' },
};
const CARRIED: Record<Relation, string> = {
    still: 'carried over',
    continues: 'continued in the plan',
    replaces: 'to be replaced',
    adds_to: 'to be added to',
};

function standing(item: (typeof items.value)[number]): string {
    if (item.carried !== null) {
        return CARRIED[item.carried];
    }
    return item.isLetGo ? 'let go' : item.reason === null ? '' : `reason ${item.reason}`;
}

const { travel, undoKeys } = useUndo();

useShortcuts([
    { keys: 'ArrowDown', does: 'next setup', run: () => step(1) },
    { keys: 'ArrowUp', does: 'previous setup', run: () => step(-1) },
    { keys: 'c', does: 'carry over: it still stands', run: () => carry('still') },
    { keys: 'n', does: 'a new setup that replaces or continues it', run: () => carry('replaces') },
    { keys: 'a', does: 'a new setup that adds to it', run: () => carry('adds_to') },
    { keys: 'g', does: 'let it go, or not', run: letGo },
    { keys: 'u', does: 'publish an update', run: update },
    ...reasons.map(({ label, value }, i) => ({
        keys: String(i + 1),
        does: `the reason: ${label.toLowerCase()}`,
        run: () => judge({ reason: value }),
    })),
    ...results.map(({ label, value }, i) => ({
        keys: String(i + 4),
        does: `the result: ${label.toLowerCase()}`,
        run: () => judge({ result: value }),
    })),
    { keys: 'w', does: 'write a note', run: () => document.getElementById('review-note')?.focus() },
    ...undoKeys,
]);
</script>

<template>
    <AppShell title="Review" step="review">
        <div v-if="items.length === 0" class="empty">
            <h1>Review</h1>
            <p>
                Nothing is published yet, so there is nothing to look back on. Once an edition is out, every setup of it stands
                here until it has ended and you have judged it.
            </p>
            <Link href="/plan/market">Go on to the market</Link>
        </div>
        <div v-else class="desk">
            <section class="list" aria-label="Published setups">
                <header>
                    <h1>Review</h1>
                    <p class="muted">Since {{ review.since }}</p>
                </header>
                <dl class="totals">
                    <div>
                        <dt>realised</dt>
                        <dd>{{ review.realised === null ? 'nothing closed' : `${signed(review.realised)} R` }}</dd>
                    </div>
                    <div>
                        <dt>still open</dt>
                        <dd>{{ review.open === null ? 'none' : `${signed(review.open)} R` }}</dd>
                    </div>
                    <div>
                        <dt>not triggered</dt>
                        <dd>{{ review.notTriggered }}</dd>
                    </div>
                    <div v-if="review.best">
                        <dt>{{ review.worst ? 'best' : 'closed' }}</dt>
                        <dd>{{ review.best }}</dd>
                    </div>
                    <div v-if="review.worst">
                        <dt>worst</dt>
                        <dd>{{ review.worst }}</dd>
                    </div>
                </dl>
                <section v-for="group in review.groups" :key="group.key" :aria-label="group.label">
                    <h2>
                        {{ group.label }} <span class="muted">{{ group.items.length }}</span>
                    </h2>
                    <button
                        v-for="item in group.items"
                        :key="item.id"
                        type="button"
                        class="item"
                        :class="{ chosen: item.id === chosenId, settled: item.isSettled }"
                        :aria-current="item.id === chosenId"
                        @click="chosenId = item.id"
                    >
                        <span class="buoy" aria-hidden="true"></span>
                        <span class="what">
                            <strong>{{ item.symbol }}</strong>
                            <span :class="item.followed.outcome.strip.side">{{
                                item.followed.outcome.strip.side === 'long' ? '▲' : '▼'
                            }}</span>
                            <span v-if="item.name" class="muted">{{ item.name }}</span>
                        </span>
                        <RStrip :strip="item.followed.outcome.strip" :width="112" />
                        <span class="r">{{
                            item.followed.outcome.r === null ? '' : `${signed(item.followed.outcome.r, 2)} R`
                        }}</span>
                        <span v-if="standing(item)" class="standing muted">{{ standing(item) }}</span>
                        <span v-else-if="!item.isSettled" class="visually-hidden">to settle</span>
                    </button>
                </section>
                <section v-if="review.levels.length > 0" class="levels" aria-label="Your levels since">
                    <h2>
                        Your levels since <span class="muted">{{ review.levels.length }}</span>
                    </h2>
                    <table>
                        <tbody>
                            <tr v-for="(level, i) in review.levels" :key="i">
                                <th>{{ level.symbol }}</th>
                                <td>{{ level.price }}</td>
                                <td>{{ level.kind === 'role_change' ? 'role changed' : level.kind }}</td>
                                <td class="muted">{{ level.session }}</td>
                            </tr>
                        </tbody>
                    </table>
                </section>
            </section>

            <section v-if="chosen" class="one" :aria-label="`${chosen.symbol} looked back on`">
                <header class="head">
                    <div>
                        <h2>
                            {{ chosen.symbol }} <span>{{ chosen.company }}</span>
                            <small v-if="chosen.name || chosen.kind">
                                {{ [chosen.name, chosen.kind].filter((word) => word !== '').join(', ') }}
                            </small>
                        </h2>
                        <p class="muted">
                            <Link :href="`/editions/${chosen.edition}`">Edition {{ chosen.edition }}</Link
                            >, published {{ chosen.publishedAt }}
                        </p>
                    </div>
                    <UndoButtons :undo="plan.undo" :redo="plan.redo" @travel="travel" />
                </header>
                <div class="settle">
                    <Button
                        v-for="offer in chosen.offers"
                        :key="offer"
                        size="small"
                        :severity="chosen.carried === offer ? undefined : 'secondary'"
                        :outlined="chosen.carried !== offer"
                        :aria-pressed="chosen.carried === offer"
                        @click="carry(offer)"
                    >
                        {{ OFFERS[offer].label }} <kbd>{{ OFFERS[offer].key }}</kbd>
                    </Button>
                    <Button
                        size="small"
                        :severity="chosen.isLetGo ? undefined : 'secondary'"
                        :outlined="!chosen.isLetGo"
                        :aria-pressed="chosen.isLetGo"
                        @click="letGo"
                    >
                        Let go <kbd>g</kbd>
                    </Button>
                    <Button v-if="mayUpdate" size="small" severity="secondary" outlined class="update" @click="update">
                        Update… <kbd>u</kbd>
                    </Button>
                </div>
                <p v-if="chosen.carried && chosen.candidateId" class="in-plan">
                    In the plan for {{ plan.session }}: {{ CARRIED[chosen.carried] }}.
                    <Link v-if="chosen.carried !== 'still'" :href="`/plan/mark/${chosen.candidateId}`">Change the new setup</Link>
                </p>
                <p class="sentence">{{ chosen.sentence }}</p>
                <div ref="pane" class="columns" :class="{ wide: width > 640 }">
                    <div>
                        <EditionChart
                            v-if="shownPart?.chart"
                            :part="shownPart"
                            :bars="45"
                            :width="chartWidth"
                            :height="chartHeight"
                        />
                        <p v-else class="muted">The chart is on its way.</p>
                    </div>
                    <FollowedFacts :followed="chosen.followed" :strip-width="230" />
                </div>
                <div class="judgement">
                    <div class="field">
                        <span id="reason-label">The reason for it <kbd>1</kbd><kbd>2</kbd><kbd>3</kbd></span>
                        <SelectButton
                            :model-value="chosen.reason"
                            :options="reasons"
                            option-label="label"
                            option-value="value"
                            size="small"
                            aria-labelledby="reason-label"
                            @update:model-value="judge({ reason: $event })"
                        />
                    </div>
                    <div class="field">
                        <span id="result-label">The result was <kbd>4</kbd><kbd>5</kbd><kbd>6</kbd></span>
                        <SelectButton
                            :model-value="chosen.result"
                            :options="results"
                            option-label="label"
                            option-value="value"
                            size="small"
                            aria-labelledby="result-label"
                            @update:model-value="judge({ result: $event })"
                        />
                    </div>
                    <div class="field note">
                        <label for="review-note">What it teaches, to yourself <kbd>w</kbd></label>
                        <Textarea id="review-note" v-model="note" rows="1" maxlength="400" auto-resize @blur="keepNote" />
                    </div>
                </div>
            </section>
        </div>
        <UpdateDialog v-model:visible="updating" :item="chosen" />
    </AppShell>
</template>

<style scoped>
.empty {
    max-width: 480px;
    margin: 12vh auto;
    padding: 0 16px;
}
.desk {
    display: grid;
    grid-template-columns: 384px minmax(0, 1fr);
    height: calc(100vh - 57px);
}
.list {
    overflow-y: auto;
    padding: 12px 0 16px;
    border-right: 1px solid var(--hair-2);
    background: var(--sheet);
}
.list > header {
    padding: 0 16px;
}
.totals {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 6px 12px;
    margin: 8px 16px;
}
.totals dt {
    font-size: 12px;
    line-height: 15px;
    color: var(--ink-3);
}
.totals dd {
    margin: 0;
    font-weight: 650;
}
.list h2 {
    padding: 8px 16px 4px;
}
.list h2 span {
    font-weight: 400;
}
.item {
    display: grid;
    grid-template-columns: 12px minmax(0, 1fr) 112px 64px;
    align-items: center;
    gap: 0 8px;
    width: 100%;
    padding: 5px 16px;
    border: 0;
    border-top: 1px solid var(--hair);
    background: none;
    color: inherit;
    font: inherit;
    text-align: left;
    cursor: pointer;
}
.item:hover {
    background: var(--wash);
}
.item.chosen {
    background: var(--wash);
    box-shadow: inset 3px 0 var(--ink);
}
.buoy {
    width: 10px;
    height: 10px;
    border: 1.5px solid var(--look);
    border-radius: 50%;
}
.settled .buoy {
    border-color: var(--ink-2);
    background: var(--ink-2);
}
.what {
    display: flex;
    gap: 5px;
    overflow: hidden;
    white-space: nowrap;
}
.what .long {
    color: var(--long);
}
.what .short {
    color: var(--short);
}
.r {
    text-align: right;
    font-weight: 650;
}
.standing {
    grid-column: 2 / -1;
    font-size: 12px;
    line-height: 15px;
}
.levels table {
    width: calc(100% - 32px);
    margin: 0 16px;
    border-collapse: collapse;
}
.levels tr {
    border-top: 1px solid var(--hair);
}
.levels th,
.levels td {
    padding: 3px 8px 3px 0;
    text-align: left;
    font-size: 13px;
}
.one {
    overflow-y: auto;
    padding: 12px 24px 16px;
}
.head {
    display: flex;
    justify-content: space-between;
    gap: 16px;
}
.head h2 {
    font: 650 20px/26px var(--serif);
}
.head h2 span {
    font-weight: 400;
}
.head small {
    margin-left: 6px;
    font: 400 14px/20px var(--sans);
    color: var(--ink-2);
}
.settle {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin: 10px 0 4px;
}
.update {
    margin-left: auto;
}
.in-plan {
    color: var(--ink-2);
}
.sentence {
    margin: 8px 0 12px;
    font: 400 17px/24px var(--serif);
    text-wrap: pretty;
}
.columns.wide {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    gap: 20px;
}
.judgement {
    display: flex;
    flex-wrap: wrap;
    gap: 12px 24px;
    margin-top: 14px;
    padding-top: 12px;
    border-top: 1px solid var(--hair-2);
}
.field {
    display: flex;
    flex-direction: column;
    gap: 4px;
}
.field > span,
.field > label {
    font-weight: 600;
}
.field.note {
    flex: 1 1 260px;
}
@media (max-width: 900px) {
    .desk {
        grid-template-columns: minmax(0, 1fr);
        height: auto;
    }
}
</style>
