<script setup lang="ts">
import { router } from '@inertiajs/vue3';
import Button from 'primevue/button';
import ProgressBar from 'primevue/progressbar';
import type { DeliveriesData } from '@/types/data';

/** How far one thing that was published has reached its readers, and what failed. */
defineProps<{ deliveries: DeliveriesData }>();
</script>

<template>
    <span>{{ deliveries.sent }} of {{ deliveries.total }} arrived</span>
    <ProgressBar
        v-if="deliveries.waiting > 0"
        :value="Math.round((100 * deliveries.sent) / deliveries.total)"
        :show-value="false"
        aria-label="Deliveries that have arrived"
    />
    <p v-for="fault in deliveries.failed" :key="fault.id" class="fault">
        {{ fault.to }}, {{ fault.channel }}, {{ fault.attempts }} {{ fault.attempts === 1 ? 'attempt' : 'attempts' }}:
        {{ fault.error }}
        <Button
            v-if="!fault.error.startsWith('will be')"
            label="Try again"
            text
            size="small"
            @click="router.post(`/subscribers/deliveries/${fault.id}`, {}, { preserveScroll: true })"
        />
    </p>
</template>
