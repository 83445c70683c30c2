<script setup lang="ts">
import { onMounted, ref, watch } from 'vue';
import type { CandidateLinkData } from '@/types/data';

/** The walk through the candidates of the plan, in one line. */
const props = defineProps<{ links: CandidateLinkData[]; here: number }>();
const emit = defineEmits<{ go: [id: number] }>();

const rail = ref<HTMLElement>();

function reveal(): void {
    rail.value?.querySelector('.here')?.scrollIntoView({ block: 'nearest', inline: 'center' });
}

onMounted(reveal);
watch(
    () => props.here,
    // once the new candidate is drawn: asked sooner, everything would have to be laid out twice
    () => requestAnimationFrame(() => requestAnimationFrame(reveal)),
);
</script>

<template>
    <nav ref="rail" class="stops" aria-label="Candidates of the plan">
        <a
            v-for="(link, i) in links"
            :key="link.id"
            :href="`/plan/mark/${link.id}`"
            class="stop-over"
            :class="[link.state, { here: link.id === here }]"
            :aria-current="link.id === here ? 'page' : undefined"
            :title="link.setupNote"
            @click.exact.prevent="emit('go', link.id)"
        >
            <span class="no">{{ i + 1 }}</span> {{ link.symbol }}
            <i v-if="link.setupNote === 'planned'" class="pi pi-check" aria-label="planned" />
        </a>
    </nav>
</template>

<style scoped>
.stops {
    display: flex;
    flex: 1;
    gap: 2px;
    min-width: 0;
    margin-left: -8px;
    padding-left: 8px;
    overflow-x: auto;
    scrollbar-width: none;
    mask-image: linear-gradient(to right, transparent, #000 16px calc(100% - 24px), transparent);
}
.stop-over {
    display: inline-flex;
    flex: none;
    align-items: center;
    gap: 4px;
    padding: 2px 8px;
    text-decoration: none;
    white-space: nowrap;
    border-bottom: 2px solid transparent;
    color: var(--ink-2);
}
.stop-over .no {
    font-size: 11px;
    color: var(--ink-3);
}
.stop-over .pi {
    font-size: 11px;
}
.stop-over.passed {
    text-decoration: line-through;
    color: var(--ink-3);
}
.stop-over.here {
    color: var(--ink);
    font-weight: 650;
    border-color: var(--ink);
}
</style>
