<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3';
import Button from 'primevue/button';
import Gate from '@/components/Gate.vue';

defineProps<{ address: string; isDone: boolean }>();
</script>

<template>
    <Gate title="No more mails">
        <section class="sheet">
            <h1>No more mails</h1>
            <template v-if="isDone">
                <p role="status">You are sent no more mails. What you have subscribed to stays open to you here.</p>
                <p class="muted"><Link href="/settings">Your settings</Link></p>
            </template>
            <template v-else>
                <p>Editions and updates will no longer be mailed to you. You can still read them here.</p>
                <Button label="Send me no more mails" fluid @click="router.post(address)" />
            </template>
        </section>
    </Gate>
</template>
