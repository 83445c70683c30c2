<script setup lang="ts">
import type { FollowedData } from '@/types/data';
import OutcomeFacts from './OutcomeFacts.vue';

/** What became of a published setup: as published, the author's updates in order, and as managed. */
defineProps<{ followed: FollowedData; stripWidth?: number }>();
</script>

<template>
    <div class="followed">
        <h4 v-if="followed.managed">As published</h4>
        <OutcomeFacts :outcome="followed.outcome" :strip-width="stripWidth" />
        <ol v-if="followed.updates.length > 0" class="updates" aria-label="Updates">
            <li v-for="update in followed.updates" :key="update.id">
                <span class="when">{{ update.when }}</span>
                <span>
                    <strong>{{ update.what }}</strong><template v-if="update.text">: {{ update.text }}</template>
                    <span v-if="update.noEffect" class="muted"> {{ update.noEffect }}</span>
                </span>
            </li>
        </ol>
        <template v-if="followed.managed">
            <h4>As managed, with the updates</h4>
            <OutcomeFacts :outcome="followed.managed" :strip-width="stripWidth" />
        </template>
    </div>
</template>

<style scoped>
.followed {
    display: flex;
    flex-direction: column;
    gap: 8px;
}
h4 {
    margin: 0;
    font: 650 13px/18px var(--sans);
    color: var(--ink-2);
}
.updates {
    margin: 0;
    padding: 6px 0 6px 10px;
    list-style: none;
    border-left: 3px solid var(--look);
}
.updates li {
    display: flex;
    flex-direction: column;
}
.updates li + li {
    margin-top: 6px;
}
.when {
    font-size: 12px;
    line-height: 16px;
    color: var(--ink-2);
}
</style>
