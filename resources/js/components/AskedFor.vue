<script setup lang="ts">
import { router } from '@inertiajs/vue3';
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import InputText from 'primevue/inputtext';
import { ref } from 'vue';
import type { RequestData } from '@/types/data';

/** What readers ask for: taken onto the list, or declined with a reason. */
defineProps<{ requests: RequestData[] }>();
const visible = defineModel<boolean>('visible', { required: true });

const declining = ref<number | null>(null);
const reason = ref('');
const refused = ref('');

function take(request: RequestData): void {
    router.post(`/plan/requests/${request.id}/take`, {}, { preserveScroll: true, preserveState: true });
}

function decline(): void {
    router.post(
        `/plan/requests/${declining.value}/decline`,
        { reason: reason.value },
        {
            preserveScroll: true,
            preserveState: true,
            onSuccess: () => {
                declining.value = null;
                reason.value = '';
                refused.value = '';
            },
            onError: (errors) => (refused.value = Object.values(errors)[0] ?? ''),
        },
    );
}
</script>

<template>
    <Dialog v-model:visible="visible" modal header="Asked for" :style="{ width: '560px' }">
        <p v-if="requests.length === 0" class="muted">No reader waits for an answer.</p>
        <ul>
            <li v-for="request in requests" :key="request.id">
                <div class="line">
                    <span class="what">
                        <strong>{{ request.symbol }}</strong> {{ request.name }}
                        <span class="muted">since {{ request.since }}</span>
                    </span>
                    <span v-if="request.state === 'taken'" class="muted">on the list</span>
                    <Button v-else label="Take it" size="small" @click="take(request)" />
                    <Button label="Decline…" size="small" severity="secondary" outlined @click="declining = request.id" />
                </div>
                <p v-for="(asker, i) in request.askers" :key="i" class="asker">
                    {{ asker.name }}, {{ asker.tier }}, {{ asker.when
                    }}<template v-if="asker.note">: “{{ asker.note }}”</template>
                </p>
                <form v-if="declining === request.id" class="decline" @submit.prevent="decline">
                    <InputText
                        v-model="reason"
                        size="small"
                        maxlength="200"
                        autofocus
                        aria-label="Why it is declined"
                        placeholder="why; those who asked are told"
                        :invalid="refused !== ''"
                    />
                    <Button type="submit" label="Decline" size="small" />
                    <Button type="button" label="Not now" text size="small" severity="secondary" @click="declining = null" />
                </form>
                <p v-if="declining === request.id && refused" class="error" role="alert">{{ refused }}</p>
            </li>
        </ul>
    </Dialog>
</template>

<style scoped>
ul {
    margin: 0;
    padding: 0;
    list-style: none;
}
li {
    padding: 8px 0;
    border-top: 1px solid var(--hair-2);
}
.line,
.decline {
    display: flex;
    align-items: center;
    gap: 8px;
}
.what {
    margin-right: auto;
}
.decline :deep(input) {
    flex: 1;
}
.asker {
    font-size: 13px;
    line-height: 18px;
    color: var(--ink-2);
}
</style>
