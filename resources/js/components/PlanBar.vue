<script setup lang="ts">
import { router } from '@inertiajs/vue3';
import Button from 'primevue/button';
import Menu from 'primevue/menu';
import Select from 'primevue/select';
import { useConfirm } from 'primevue/useconfirm';
import { computed, ref } from 'vue';
import type { PlanData } from '@/types/data';

/** Of several drafts the one in hand; others are taken up or begun from here. */
const props = defineProps<{ plan: PlanData }>();

const confirm = useConfirm();
const menu = ref<InstanceType<typeof Menu>>();
const items = computed(() => [
    {
        label: 'Begin another',
        items: props.plan.kinds.map((kind) => ({
            label: kind.label,
            command: () => router.post('/plan/drafts', { kind: kind.value }),
        })),
    },
    {
        label: 'This one',
        items: [{ label: 'Throw it away…', command: discard }],
    },
]);

function discard(): void {
    confirm.require({
        header: `Throw the draft away?`,
        message: `${props.plan.kindLabel}, ${props.plan.session}: its candidates, setups and texts go; your levels live on. This cannot be undone.`,
        acceptProps: { label: 'Throw away', severity: 'danger' },
        rejectProps: { label: 'Keep', severity: 'secondary', text: true },
        accept: () => router.delete(`/plan/drafts/${props.plan.id}`),
    });
}
</script>

<template>
    <span class="plans">
        <Select
            :model-value="plan.id"
            :options="plan.drafts"
            option-label="label"
            option-value="id"
            size="small"
            aria-label="The draft in hand"
            @update:model-value="router.post(`/plan/drafts/${$event}`)"
        />
        <Button
            icon="pi pi-ellipsis-h"
            text
            size="small"
            severity="secondary"
            aria-label="Other plans"
            aria-haspopup="true"
            @click="menu?.toggle($event)"
        />
        <Menu ref="menu" :model="items" popup />
    </span>
</template>

<style scoped>
.plans {
    display: inline-flex;
    align-items: center;
    gap: 4px;
    max-width: 100%;
}
.plans :deep(.p-select) {
    min-width: 0;
}
</style>
