<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { ref, watch } from 'vue';
import FactWords from '@/components/FactWords.vue';
import SparkLine from '@/components/SparkLine.vue';
import { send } from '@/lib/http';
import { signed } from '@/lib/price';
import type { CandidateData, PeerData } from '@/types/data';

/** A candidate beside those of its industry and its benchmark: who leads, and what could stand in for it. */
const props = defineProps<{ candidate: CandidateData | null }>();
const emit = defineEmits<{ close: []; add: [peer: PeerData] }>();

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

function add(peer: PeerData): void {
    peer.onList = true;
    emit('add', peer);
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
            <table>
                <thead>
                    <tr>
                        <th scope="col">Symbol</th>
                        <th scope="col">60 sessions</th>
                        <th scope="col" class="num">Over 60</th>
                        <th scope="col" class="num">Last</th>
                        <th scope="col" class="num">Today</th>
                        <th scope="col" class="num">Moves alike</th>
                        <th scope="col">Facts</th>
                        <th scope="col"><span class="visually-hidden">Add</span></th>
                    </tr>
                </thead>
                <tbody>
                    <tr v-for="peer in peers" :key="peer.instrumentId" :class="{ own: peer.isChosen }">
                        <th scope="row">
                            {{ peer.symbol }} <span class="muted">{{ peer.kind }}</span>
                            <span class="name">{{ peer.name }}</span>
                            <span v-if="peer.leads" class="mark">leads its industry</span>
                            <span v-if="peer.standsIn" class="mark">lower-priced stand-in</span>
                        </th>
                        <td>
                            <SparkLine
                                v-if="peer.closes.length > 1"
                                :values="peer.closes"
                                :width="110"
                                :height="34"
                                :label="`Closes of ${peer.symbol}, 60 sessions`"
                            />
                        </td>
                        <td class="num">{{ peer.risen === null ? '' : `${signed(String(peer.risen), 1)} %` }}</td>
                        <td class="num">{{ peer.last }}</td>
                        <td class="num">{{ peer.change === null ? '' : `${signed(peer.change)} %` }}</td>
                        <td class="num">{{ peer.correlation === null ? '' : signed(String(peer.correlation), 2) }}</td>
                        <td><FactWords :facts="peer.facts" /></td>
                        <td class="num">
                            <span v-if="peer.onList" class="muted">{{ peer.isChosen ? '' : 'on the list' }}</span>
                            <Button v-else label="Add" size="small" severity="secondary" outlined @click="add(peer)" />
                        </td>
                    </tr>
                </tbody>
            </table>
            <p class="muted">
                Moves alike: the correlation of daily returns over 60 sessions, 1 for in step. The stand-in costs at most 0.7 of
                the price and moves alike by 0.5 or more.
            </p>
        </template>
    </Dialog>
</template>

<style scoped>
table {
    width: 100%;
    border-collapse: collapse;
    font-size: 14px;
}
th,
td {
    padding: 6px 8px;
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
.own > * {
    background: var(--wash);
}
.name {
    display: block;
    font-size: 13px;
    font-weight: 400;
    line-height: 16px;
    color: var(--ink-3);
}
.mark {
    display: block;
    font-size: 13px;
    font-weight: 600;
    line-height: 16px;
    color: var(--look);
}
p {
    margin: 10px 0 0;
    font-size: 13px;
}
</style>
