<script setup lang="ts">
import { Link } from '@inertiajs/vue3';
import Column from 'primevue/column';
import DataTable from 'primevue/datatable';
import InputText from 'primevue/inputtext';
import { computed, ref } from 'vue';
import { FRAMES } from '@/chart/frames';
import AppShell from '@/components/AppShell.vue';
import TallyTable from '@/components/TallyTable.vue';
import { percent } from '@/lib/figures';
import { useShortcuts } from '@/lib/keys';
import type { LevelHistoryData } from '@/types/data';

const props = defineProps<{ history: LevelHistoryData }>();

const query = ref('');
const frameName = (frame: string): string => FRAMES.find((one) => one.value === frame)?.name ?? frame;
const byFrame = computed(() => props.history.byTimeFrame.map((tally) => ({ ...tally, name: frameName(tally.name) })));
const all = computed(() => props.history.all);
const decided = computed(() => all.value.held + all.value.broke);
const found = computed(() => {
    const wanted = query.value.trim().toLowerCase();
    return wanted === ''
        ? props.history.levels
        : props.history.levels.filter((level) =>
              [level.symbol, level.origin, level.did, level.standing, level.words].some((text) =>
                  text.toLowerCase().includes(wanted),
              ),
          );
});

useShortcuts([{ keys: '/', does: 'find a level', run: () => document.getElementById('find-level')?.focus() }]);
</script>

<template>
    <AppShell title="How your levels did">
        <div class="page">
            <header>
                <h1>How your levels did</h1>
                <p v-if="all.all > 0" class="sum">
                    {{ all.all }} levels: {{ all.untouched }} not touched since they were marked, {{ all.undecided }} undecided,
                    {{ all.held }} held, {{ all.broke }} broke.
                    <strong v-if="all.rate !== null"
                        >{{ percent(all.rate) }} of {{ decided }} held ({{ percent(all.low) }} to
                        {{ percent(all.high) }}).</strong
                    >
                    <span v-else>Fewer than ten are decided: that is too few for a rate.</span>
                </p>
                <p class="muted">
                    Each level is judged at its first touch after it was marked. It held when price was away from it by 1 ATR
                    before a close beyond it by 0.5 ATR; else it broke. Intervals are 90 %. A turn below 0 went beyond the level.
                </p>
            </header>
            <p v-if="all.all === 0" class="empty">
                No level yet. Mark some under <Link href="/plan/mark">Mark and plan</Link>; what price makes of them is counted
                here.
            </p>
            <template v-else>
                <div class="tables">
                    <TallyTable title="By origin" :tallies="history.byOrigin" />
                    <div>
                        <TallyTable title="By grade" :tallies="history.byGrade" />
                        <TallyTable title="By time frame" :tallies="byFrame" />
                    </div>
                </div>
                <div class="list-head">
                    <h2>Levels</h2>
                    <InputText
                        id="find-level"
                        v-model="query"
                        size="small"
                        placeholder="find by symbol, origin or result"
                        aria-label="Find a level"
                    />
                </div>
                <DataTable
                    :value="found"
                    size="small"
                    paginator
                    :rows="20"
                    :always-show-paginator="false"
                    sort-field="markedOnDate"
                    :sort-order="-1"
                >
                    <template #empty>No level matches “{{ query }}”.</template>
                    <Column field="symbol" header="Symbol" sortable>
                        <template #body="{ data }"
                            ><Link :href="`/instruments/${data.symbol}`">{{ data.symbol }}</Link></template
                        >
                    </Column>
                    <Column field="words" header="Level" />
                    <Column field="origin" header="Origin" sortable />
                    <Column field="grade" header="Grade" sortable />
                    <Column field="timeFrame" header="Seen on" sortable>
                        <template #body="{ data }">{{ frameName(data.timeFrame) }}</template>
                    </Column>
                    <Column field="markedOnDate" header="Marked" sortable>
                        <template #body="{ data }">{{ data.markedOn || '–' }}</template>
                    </Column>
                    <Column field="standing" header="Now" sortable />
                    <Column field="did" header="How it did" sortable>
                        <template #body="{ data }">{{ data.reaction }}</template>
                    </Column>
                </DataTable>
            </template>
        </div>
    </AppShell>
</template>

<style scoped>
.page {
    max-width: 1280px;
    margin: 0 auto;
    padding: 16px;
}
.sum {
    margin-top: 4px;
}
header .muted {
    max-width: 860px;
    margin-top: 4px;
    font-size: 13px;
}
.empty {
    padding: 32px 0;
}
.tables {
    display: grid;
    grid-template-columns: 3fr 2fr;
    gap: 32px;
    margin: 16px 0;
}
.list-head {
    display: flex;
    align-items: center;
    justify-content: space-between;
    margin: 8px 0;
}
.list-head :deep(input) {
    width: 260px;
}
@media (max-width: 900px) {
    .tables {
        grid-template-columns: minmax(0, 1fr);
        gap: 8px;
    }
}
</style>
