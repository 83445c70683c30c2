<script setup lang="ts">
import { Head, router, usePoll } from '@inertiajs/vue3';
import { ref, watch } from 'vue';

/** Stands in for a mail server. */
const props = defineProps<{ to: string; mails: { id: number; to: string; subject: string; at: string }[] }>();

const chosen = ref<number | null>(props.mails[0]?.id ?? null);

// mails arrive while the page is looked at
usePoll(2000, { only: ['mails'] });
watch(
    () => props.mails[0]?.id ?? null,
    (newest) => (chosen.value ??= newest),
);
</script>

<template>
    <Head title="Mailbox" />
    <main class="page">
        <header>
            <h1>Mailbox</h1>
            <p class="muted">
                Stands in for a mail server on this machine: every mail that is sent ends here, and goes nowhere else.
            </p>
        </header>
        <p v-if="mails.length === 0" class="empty">No mail has been sent{{ to ? ` to ${to}` : '' }} yet.</p>
        <div v-else class="columns">
            <ul aria-label="Mails">
                <li v-for="mail in mails" :key="mail.id">
                    <button type="button" :aria-current="mail.id === chosen" @click="chosen = mail.id">
                        <strong>{{ mail.subject }}</strong>
                        <span class="muted">{{ mail.to }}, {{ mail.at }}</span>
                    </button>
                </li>
                <li v-if="to">
                    <button type="button" @click="router.get('/mailbox')">All mails</button>
                </li>
            </ul>
            <iframe
                v-if="chosen"
                :src="`/mailbox/${chosen}`"
                title="The mail"
                sandbox="allow-top-navigation-by-user-activation"
            ></iframe>
        </div>
    </main>
</template>

<style scoped>
.page {
    padding: 16px;
}
header {
    margin-bottom: 12px;
}
.empty {
    margin-top: 12vh;
    text-align: center;
}
.columns {
    display: grid;
    grid-template-columns: 320px minmax(0, 1fr);
    gap: 16px;
    height: calc(100vh - 110px);
}
ul {
    margin: 0;
    padding: 0;
    list-style: none;
    overflow-y: auto;
}
button {
    display: flex;
    flex-direction: column;
    width: 100%;
    padding: 6px 8px;
    border: 0;
    border-top: 1px solid var(--hair);
    background: none;
    color: inherit;
    font: inherit;
    text-align: left;
    cursor: pointer;
    overflow-wrap: anywhere;
}
button:hover,
button[aria-current='true'] {
    background: var(--wash);
}
iframe {
    width: 100%;
    height: 100%;
    border: 1px solid var(--hair-2);
    background: #fdfaf3;
}
@media (max-width: 760px) {
    .columns {
        grid-template-columns: minmax(0, 1fr);
        height: auto;
    }
    iframe {
        height: 80vh;
    }
}
</style>
