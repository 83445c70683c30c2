<script setup lang="ts">
import Dialog from 'primevue/dialog';
import { computed, ref, watch } from 'vue';
import InstrumentTable from '@/components/InstrumentTable.vue';
import { send } from '@/lib/http';
import type { InstrumentRow } from '@/lib/instruments';
import { signed } from '@/lib/price';
import type { CandidateData, PeerData } from '@/types/data';

/** A candidate beside those of its industry and its benchmark: who leads, and what could stand in for it. */
const props = defineProps<{ candidate: CandidateData | null; listed: number[] }>();
const emit = defineEmits<{ close: []; add: [instrument: number, note: string] }>();

const peers = ref<PeerData[] | null>(null);
const fault = ref('');

watch(
    () => props.candidate?.id,
    async (id) => {
        peers.value = null;
        fault.value = '';
        if (id !== undefined) {
            try {
                const answer = await send<PeerData[]>('GET', `/plan/candidates/${id}/beside`);
                if (id === props.candidate?.id) {
                    peers.value = answer;
                }
            } catch (error) {
                fault.value = (error as Error).message;
            }
        }
    },
);

const rows = computed<InstrumentRow[]>(() =>
    (peers.value ?? []).map((peer) => ({
        id: peer.instrumentId,
        symbol: peer.symbol,
        kind: peer.kind,
        name: peer.name,
        marks: [...(peer.leads ? ['leads its industry'] : []), ...(peer.standsIn ? ['lower-priced stand-in'] : [])],
        closes: peer.closes,
        figures: [
            peer.risen === null ? '' : `${signed(String(peer.risen), 1)} %`,
            peer.last ?? '',
            peer.change === null ? '' : `${signed(peer.change)} %`,
            peer.correlation === null ? '' : signed(String(peer.correlation), 2),
        ],
        facts: peer.facts,
        isOwn: peer.isChosen,
        onList: peer.onList || props.listed.includes(peer.instrumentId),
    })),
);

function add(row: InstrumentRow): void {
    emit('add', row.id, `beside ${props.candidate?.instrument.symbol ?? ''}`);
}
</script>

<template>
    <Dialog
        :visible="candidate !== null"
        modal
        :header="candidate === null ? '' : `${candidate.instrument.symbol} beside others of ${candidate.instrument.group}`"
        :style="{ width: '1000px', maxWidth: 'calc(100vw - 32px)' }"
        @update:visible="emit('close')"
    >
        <p v-if="fault !== ''" class="error" role="alert">{{ fault }}</p>
        <p v-else-if="peers === null" class="muted" role="status">Comparing…</p>
        <template v-else>
            <p v-if="peers.length < 2" class="muted">Nothing else on the exchange is of this industry.</p>
            <InstrumentTable :rows="rows" :figures="['Over 60', 'Last', 'Today', 'Moves alike']" @add="add" />
            <p class="muted">
                Moves alike: the correlation of daily returns over 60 sessions, 1 for in step. The stand-in costs at most 0.7 of
                the price and moves alike by 0.5 or more.
            </p>
        </template>
    </Dialog>
</template>

<style scoped>
p {
    margin: 10px 0 0;
    font-size: 13px;
}
</style>
