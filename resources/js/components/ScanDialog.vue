<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import InputText from 'primevue/inputtext';
import Select from 'primevue/select';
import { ref } from 'vue';
import FactWords from '@/components/FactWords.vue';
import SparkLine from '@/components/SparkLine.vue';
import { send } from '@/lib/http';
import type { ScanHitData } from '@/types/data';

/** Finds candidates by a question to everything that is traded; what it was last is remembered. */
const visible = defineModel<boolean>('visible', { required: true });
const emit = defineEmits<{ add: [hit: ScanHitData] }>();

const KEPT = 'watchpost-scan';
const SCANS = [
    { value: 'new_high', label: 'A new high of so many sessions' },
    { value: 'new_low', label: 'A new low of so many sessions' },
    { value: 'crossed_above', label: 'Closed above its average, for the first time' },
    { value: 'crossed_below', label: 'Closed below its average, for the first time' },
    { value: 'risen', label: 'Risen most' },
    { value: 'fallen', label: 'Fallen most' },
    { value: 'volume', label: 'More traded than usual' },
];

const kept = JSON.parse(localStorage.getItem(KEPT) ?? 'null') as { scan: string; sessions: string } | null;
const scan = ref(SCANS.some((one) => one.value === kept?.scan) ? (kept?.scan ?? 'new_high') : 'new_high');
const sessions = ref(kept?.sessions ?? '60');
const hits = ref<ScanHitData[] | null>(null);
const running = ref(false);
const fault = ref('');

/** Only the answer to what was asked last is shown, and nothing of an earlier one meanwhile. */
let asked = '';

async function run(): Promise<void> {
    const query = String(new URLSearchParams({ scan: scan.value, sessions: sessions.value }));
    asked = query;
    running.value = true;
    fault.value = '';
    hits.value = null;
    try {
        const answer = await send<ScanHitData[]>('GET', `/plan/scan?${query}`);
        if (query === asked) {
            hits.value = answer;
            localStorage.setItem(KEPT, JSON.stringify({ scan: scan.value, sessions: sessions.value }));
        }
    } catch (error) {
        fault.value = query === asked ? (error as Error).message : fault.value;
    } finally {
        running.value = query !== asked;
    }
}

function add(hit: ScanHitData): void {
    hit.onList = true;
    emit('add', hit);
}
</script>

<template>
    <Dialog
        v-model:visible="visible"
        modal
        header="Find by a scan"
        :style="{ width: '900px', maxWidth: 'calc(100vw - 32px)' }"
        @show="run"
    >
        <form class="ask" @submit.prevent="run">
            <Select
                v-model="scan"
                :options="SCANS"
                option-label="label"
                option-value="value"
                size="small"
                aria-label="What to look for"
                @update:model-value="run"
            />
            <label for="scan-sessions">over</label>
            <InputText id="scan-sessions" v-model="sessions" size="small" inputmode="numeric" :invalid="fault !== ''" />
            <span>sessions</span>
            <Button type="submit" label="Scan" size="small" :loading="running" />
        </form>
        <p v-if="fault !== ''" class="error" role="alert">{{ fault }}</p>
        <p v-else-if="hits === null" class="muted" role="status">Scanning…</p>
        <p v-else-if="hits.length === 0" class="muted">Nothing that is traded answers this today.</p>
        <table v-else aria-label="What was found, the strongest first">
            <thead>
                <tr>
                    <th scope="col">Symbol</th>
                    <th scope="col" class="num">By how much</th>
                    <th scope="col">60 sessions</th>
                    <th scope="col" class="num">Last</th>
                    <th scope="col">Facts</th>
                    <th scope="col"><span class="visually-hidden">Add</span></th>
                </tr>
            </thead>
            <tbody>
                <tr v-for="hit in hits" :key="hit.instrument.id">
                    <th scope="row">
                        {{ hit.instrument.symbol }} <span class="muted">{{ hit.instrument.kind }}</span>
                        <span class="name">{{ hit.instrument.name }}, {{ hit.instrument.group }}</span>
                    </th>
                    <td class="num">
                        <strong>{{ hit.value }}</strong>
                    </td>
                    <td>
                        <SparkLine
                            v-if="hit.closes.length > 1"
                            :values="hit.closes"
                            :width="110"
                            :height="34"
                            :label="`Closes of ${hit.instrument.symbol}, 60 sessions`"
                        />
                    </td>
                    <td class="num">{{ hit.last }}</td>
                    <td><FactWords :facts="hit.facts" /></td>
                    <td class="num">
                        <span v-if="hit.onList" class="muted">on the list</span>
                        <Button v-else label="Add" size="small" severity="secondary" outlined @click="add(hit)" />
                    </td>
                </tr>
            </tbody>
        </table>
    </Dialog>
</template>

<style scoped>
.ask {
    display: flex;
    align-items: center;
    gap: 8px;
    margin-bottom: 12px;
}
.ask :deep(.p-select) {
    width: 330px;
}
#scan-sessions {
    width: 64px;
    text-align: right;
}
table {
    width: 100%;
    border-collapse: collapse;
    font-size: 14px;
}
th,
td {
    padding: 5px 8px;
    border-bottom: 1px solid var(--hair);
    text-align: left;
    vertical-align: middle;
}
thead th {
    font-size: 13px;
    font-weight: 600;
    color: var(--ink-3);
}
tbody th {
    font-weight: 650;
    white-space: nowrap;
}
tbody th .muted {
    font-weight: 400;
    font-size: 13px;
}
.num {
    text-align: right;
    white-space: nowrap;
}
.name {
    display: block;
    font-size: 13px;
    font-weight: 400;
    line-height: 16px;
    color: var(--ink-3);
}
</style>
