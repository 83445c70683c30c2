<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import InputText from 'primevue/inputtext';
import Select from 'primevue/select';
import { computed, ref } from 'vue';
import InstrumentTable from '@/components/InstrumentTable.vue';
import { send } from '@/lib/http';
import type { InstrumentRow } from '@/lib/instruments';
import type { ScanHitData } from '@/types/data';

/** Finds candidates by a question to everything that is traded; what it was last is remembered. */
const visible = defineModel<boolean>('visible', { required: true });
const props = defineProps<{ listed: number[] }>();
const emit = defineEmits<{ add: [instrument: number, note: string] }>();

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

const rows = computed<InstrumentRow[]>(() =>
    (hits.value ?? []).map((hit) => ({
        id: hit.instrument.id,
        symbol: hit.instrument.symbol,
        kind: hit.instrument.kind,
        name: `${hit.instrument.name}, ${hit.instrument.group}`,
        marks: [],
        closes: hit.closes,
        figures: [hit.value, hit.last ?? ''],
        facts: hit.facts,
        isOwn: false,
        onList: hit.onList || props.listed.includes(hit.instrument.id),
    })),
);

function add(row: InstrumentRow): void {
    emit('add', row.id, hits.value?.find((hit) => hit.instrument.id === row.id)?.note ?? '');
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
        <InstrumentTable
            v-else
            :rows="rows"
            :figures="['By how much', 'Last']"
            aria-label="What was found, the strongest first"
            @add="add"
        />
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
</style>
