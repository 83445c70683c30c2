<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3';
import Checkbox from 'primevue/checkbox';
import Select from 'primevue/select';
import { computed, ref } from 'vue';
import AppShell from '@/components/AppShell.vue';
import FollowedFacts from '@/components/FollowedFacts.vue';
import RStrip from '@/components/RStrip.vue';
import { useShortcuts } from '@/lib/keys';
import { signed } from '@/lib/price';
import type { RecordRowData, RecordTotalsData } from '@/types/data';

const props = defineProps<{
    rows: RecordRowData[];
    totals: RecordTotalsData;
    kinds: string[];
    kind: string | null;
    first: boolean;
    withheld: number;
}>();

const cut = computed(() => props.kind !== null || props.first);
const varied = computed(() => props.first || props.rows.some((row) => row.variant !== ''));

function show(kind: string | null, first: boolean): void {
    router.get(
        '/record',
        { ...(kind === null || kind === '' ? {} : { kind }), ...(first ? { first: 1 } : {}) },
        { preserveState: true, preserveScroll: true },
    );
}

const id = (row: RecordRowData): string => `${row.edition}-${row.key}`;
const open = ref(new Set<string>());
const editions = computed(() => {
    const groups = new Map<number, RecordRowData[]>();
    for (const row of props.rows) {
        groups.set(row.edition, [...(groups.get(row.edition) ?? []), row]);
    }
    return [...groups.entries()];
});

function toggle(row: RecordRowData): void {
    const next = new Set(open.value);
    if (!next.delete(id(row))) {
        next.add(id(row));
    }
    open.value = next;
}

function firstEvent(row: RecordRowData, fill: boolean): string {
    const events = row.followed.outcome.events.filter((event) => event.price !== null && (fill ? event.isFill : event.isExit));
    return events.map((event) => `${event.price}, ${event.when}`).join('; ');
}

useShortcuts([
    {
        keys: 'x',
        does: 'open or close all details',
        run: () => (open.value = open.value.size > 0 ? new Set() : new Set(props.rows.map(id))),
    },
]);
</script>

<template>
    <AppShell title="Record" step="record">
        <div class="page">
            <header class="top">
                <div>
                    <h1>Record</h1>
                    <p class="muted">Every published setup, followed by the same rules to its end. {{ totals.costs }}</p>
                </div>
                <dl v-if="rows.length > 0" class="totals" aria-label="As published">
                    <div>
                        <dt>published</dt>
                        <dd>{{ totals.published }}</dd>
                    </div>
                    <div>
                        <dt>waiting</dt>
                        <dd>{{ totals.waiting }}</dd>
                    </div>
                    <div>
                        <dt>open</dt>
                        <dd>{{ totals.open }}</dd>
                    </div>
                    <div>
                        <dt>closed</dt>
                        <dd>{{ totals.closed }}</dd>
                    </div>
                    <div>
                        <dt>not triggered</dt>
                        <dd>{{ totals.notTriggered }}</dd>
                    </div>
                    <div v-if="totals.cancelled > 0">
                        <dt>cancelled</dt>
                        <dd>{{ totals.cancelled }}</dd>
                    </div>
                    <div v-if="totals.void > 0">
                        <dt>void</dt>
                        <dd>{{ totals.void }}</dd>
                    </div>
                    <div class="sum">
                        <dt>realised</dt>
                        <dd>{{ totals.closed === 0 ? 'nothing closed' : `${signed(totals.realised)} R` }}</dd>
                    </div>
                    <div class="sum">
                        <dt>still open</dt>
                        <dd>{{ totals.open === 0 ? 'none' : `${signed(totals.openR)} R` }}</dd>
                    </div>
                </dl>
            </header>
            <p v-if="totals.managed > 0" class="managed">
                These sums are as published. As managed, with the updates of {{ totals.managed }}
                {{ totals.managed === 1 ? 'setup' : 'setups' }}: realised <strong>{{ signed(totals.managedRealised) }} R</strong>,
                still open <strong>{{ signed(totals.managedOpen) }} R</strong>.
            </p>

            <div v-if="rows.length > 0 || cut" class="cuts">
                <Select
                    v-if="kinds.length > 0"
                    :model-value="kind"
                    :options="kinds"
                    placeholder="every kind of setup"
                    show-clear
                    size="small"
                    aria-label="Kind of setup"
                    @update:model-value="show($event, first)"
                />
                <span v-if="varied" class="first">
                    <Checkbox :model-value="first" binary input-id="first-only" @update:model-value="show(kind, $event)" />
                    <label for="first-only">of variants only the first</label>
                </span>
                <span v-if="cut" class="muted">The figures above are those of this cut: {{ totals.published }} setups.</span>
            </div>
            <p v-if="withheld > 0" class="muted">
                {{ withheld }} {{ withheld === 1 ? 'setup' : 'setups' }} for other readers
                {{ withheld === 1 ? 'is' : 'are' }} still waiting or open, and will stand here once over.
            </p>
            <p v-if="rows.length === 0 && cut" class="empty">No setup of this cut is published yet.</p>
            <p v-else-if="rows.length === 0" class="empty">
                Nothing is published yet. Once an edition is sealed, each of its setups stands here, whatever becomes of it.
            </p>
            <table v-else class="record">
                <thead>
                    <tr>
                        <th>Setup</th>
                        <th>Status</th>
                        <th class="strip-head">Stop, entry, targets; worst to best</th>
                        <th>Filled</th>
                        <th>Exits</th>
                        <th class="num">R</th>
                        <th class="num">%</th>
                        <th class="num">Sessions</th>
                    </tr>
                </thead>
                <tbody v-for="[number, group] in editions" :key="number">
                    <tr class="group">
                        <th colspan="8">
                            <Link :href="`/editions/${number}`">Edition {{ number }}</Link
                            >, for {{ group[0]?.session }}
                        </th>
                    </tr>
                    <template v-for="row in group" :key="id(row)">
                        <tr class="row" :class="row.followed.outcome.status" @click="toggle(row)">
                            <td class="what">
                                <button type="button" class="symbol" :aria-expanded="open.has(id(row))" @click.stop="toggle(row)">
                                    <i
                                        class="pi"
                                        :class="open.has(id(row)) ? 'pi-angle-down' : 'pi-angle-right'"
                                        aria-hidden="true"
                                    />
                                    {{ row.symbol }}
                                </button>
                                <span :class="row.followed.outcome.strip.side">{{
                                    row.followed.outcome.strip.side === 'long' ? '▲ long' : '▼ short'
                                }}</span>
                                <span v-if="row.variant || row.kind" class="variant">{{
                                    [row.variant, row.kind].filter((word) => word !== '').join(', ')
                                }}</span>
                            </td>
                            <td class="status">
                                {{ row.followed.outcome.label }}
                                <span
                                    v-if="row.followed.outcome.ambiguous"
                                    class="look"
                                    title="The order of things within a bar was assumed"
                                    >assumed</span
                                >
                            </td>
                            <td class="strip"><RStrip :strip="row.followed.outcome.strip" :width="210" /></td>
                            <td v-if="row.followed.outcome.missed" colspan="2" class="missed">
                                {{ row.followed.outcome.missed }}
                            </td>
                            <template v-else>
                                <td class="fills" data-label="filled">{{ firstEvent(row, true) }}</td>
                                <td class="exits" data-label="out">{{ firstEvent(row, false) }}</td>
                            </template>
                            <td class="num r" data-unit="R">
                                <strong v-if="row.followed.outcome.r !== null">{{ signed(row.followed.outcome.r, 2) }}</strong>
                            </td>
                            <td class="num percent" data-unit="%">
                                {{ row.followed.outcome.percent === null ? '' : signed(row.followed.outcome.percent) }}
                            </td>
                            <td class="num held">{{ row.followed.outcome.sessionsHeld ?? '' }}</td>
                        </tr>
                        <tr v-if="open.has(id(row))" class="details">
                            <td colspan="8">
                                <div class="inside">
                                    <p class="sentence">
                                        <strong>{{ row.name }}.</strong> {{ row.sentence }}
                                    </p>
                                    <FollowedFacts :followed="row.followed" :strip-width="300" />
                                    <p class="muted">As of {{ row.followed.outcome.asOf }}.</p>
                                </div>
                            </td>
                        </tr>
                    </template>
                </tbody>
            </table>
        </div>
    </AppShell>
</template>

<style scoped>
.page {
    padding: 12px 16px;
    overflow-x: auto;
}
.top {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 12px 24px;
    margin-bottom: 12px;
}
.cuts {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 16px;
    align-items: center;
    margin-bottom: 8px;
    font-size: 13px;
}
.first {
    display: inline-flex;
    gap: 6px;
    align-items: center;
}
.variant {
    display: block;
    font-size: 12px;
    color: var(--ink-2);
}
.managed {
    margin: 0 0 10px;
    font-size: 13px;
    color: var(--ink-2);
}
.totals {
    display: flex;
    gap: 20px;
    margin: 0;
}
.totals dt {
    font-size: 12px;
    line-height: 16px;
    color: var(--ink-3);
}
.totals dd {
    margin: 0;
    font-size: 16px;
    line-height: 22px;
}
.sum dd {
    font-weight: 650;
}
.empty {
    max-width: 480px;
    margin: 12vh auto;
    text-align: center;
}
.record {
    width: 100%;
    border-collapse: collapse;
}
.record th {
    text-align: left;
    font-weight: 600;
    color: var(--ink-2);
    padding: 4px 8px;
}
.record thead th {
    border-bottom: 1px solid var(--hair-2);
}
.record th.num,
.record td.num {
    text-align: right;
}
.record td {
    padding: 5px 8px;
    border-bottom: 1px solid var(--hair);
}
.group th {
    padding-top: 12px;
    font-family: var(--serif);
    color: var(--ink);
    border-bottom: 1px solid var(--hair-2);
}
.row {
    cursor: pointer;
}
.row:hover td {
    background: var(--wash);
}
.symbol {
    display: block;
    padding: 0;
    border: 0;
    background: none;
    color: inherit;
    font-weight: 650;
    font-size: 14px;
    cursor: pointer;
}
.row td:first-child > span {
    padding-left: 18px;
    font-size: 13px;
}
.missed {
    color: var(--ink-2);
}
.inside {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr);
    gap: 4px 32px;
    padding: 8px 12px 8px 26px;
}
.sentence {
    font: 400 16px/23px var(--serif);
}
@media (max-width: 760px) {
    .totals {
        flex-wrap: wrap;
        gap: 8px 20px;
    }
    .record,
    .record tbody,
    .record tr.group,
    .record tr.details,
    .record tr.details td {
        display: block;
    }
    .record thead,
    .row .held {
        display: none;
    }
    .group th {
        display: block;
        padding: 16px 0 6px;
    }
    .row {
        display: grid;
        grid-template-columns: minmax(0, 1fr) auto auto;
        column-gap: 12px;
        padding: 8px 0;
        border-bottom: 1px solid var(--hair);
    }
    .record .row td {
        padding: 0;
        border: 0;
        background: none;
    }
    .row .num {
        justify-self: end;
    }
    .row .what {
        display: flex;
        flex-wrap: wrap;
        gap: 0 8px;
        align-items: baseline;
        white-space: nowrap;
    }
    .row .what .variant {
        flex-basis: 100%;
        white-space: normal;
    }
    .row td.what > span {
        padding: 0;
    }
    .row .status {
        grid-row: 2;
        grid-column: 1;
        color: var(--ink-2);
    }
    .row .strip {
        grid-row: 2;
        grid-column: 2 / -1;
        justify-self: end;
    }
    .row .r {
        grid-row: 1;
        grid-column: 2;
    }
    .row .percent {
        grid-row: 1;
        grid-column: 3;
        min-width: 68px;
    }
    .row .num:not(:empty)::after {
        content: ' ' attr(data-unit);
    }
    .row .r:not(:has(strong))::after {
        content: '';
    }
    .row .fills,
    .row .exits,
    .row .missed {
        grid-column: 1 / -1;
        font-size: 13px;
        color: var(--ink-2);
    }
    .row .fills:not(:empty)::before,
    .row .exits:not(:empty)::before {
        content: attr(data-label) ' ';
    }
    .inside {
        grid-template-columns: minmax(0, 1fr);
        gap: 8px;
        padding: 8px 0;
    }
}
</style>
