<script setup lang="ts">
import { router, useForm } from '@inertiajs/vue3';
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import InputText from 'primevue/inputtext';
import ToggleSwitch from 'primevue/toggleswitch';
import { ref } from 'vue';
import AccountForm from '@/components/AccountForm.vue';
import AppShell from '@/components/AppShell.vue';
import FeedsBox from '@/components/FeedsBox.vue';
import type { ReaderSettingsData } from '@/types/data';

/** What a person sets for themselves. */
const props = defineProps<{ settings: ReaderSettingsData }>();

const sent = useForm({
    mails_editions: props.settings.mailsEditions,
    mails_updates: props.settings.mailsUpdates,
    mails_alerts: props.settings.mailsAlerts,
    webhook_url: props.settings.webhookUrl ?? '',
});
const secret = useForm({ current: '', password: '', password_confirmation: '' });
const leaving = useForm({ current: '' });
const asked = ref(false);

function keepSent(): void {
    sent.patch('/settings/deliveries', { preserveScroll: true });
}

function keepPassword(): void {
    secret.patch('/settings/password', { preserveScroll: true, onSuccess: () => secret.reset() });
}
</script>

<template>
    <AppShell title="Settings">
        <div class="page">
            <header>
                <h1>Settings</h1>
                <p class="muted">{{ settings.name }}, {{ settings.address }}</p>
            </header>

            <section aria-label="What is sent to you">
                <h2>What is sent to you</h2>
                <form class="form" @submit.prevent="keepSent">
                    <div class="switch">
                        <ToggleSwitch v-model="sent.mails_alerts" input-id="mails-alerts" />
                        <label for="mails-alerts">{{
                            settings.canLeave
                                ? 'Alerts by mail: what happens to a setup you follow'
                                : 'Alerts by mail: what happens to a setup you have published'
                        }}</label>
                    </div>
                    <template v-if="settings.canLeave">
                        <div class="switch">
                            <ToggleSwitch v-model="sent.mails_editions" input-id="mails-editions" />
                            <label for="mails-editions">Editions by mail, as they are published</label>
                        </div>
                        <div class="switch">
                            <ToggleSwitch v-model="sent.mails_updates" input-id="mails-updates" />
                            <label for="mails-updates">Updates by mail, as they are made</label>
                        </div>
                        <label for="webhook">Webhook: editions, updates and alerts are posted here as JSON, signed</label>
                        <InputText
                            id="webhook"
                            v-model="sent.webhook_url"
                            size="small"
                            placeholder="none"
                            inputmode="url"
                            :invalid="!!sent.errors.webhook_url"
                        />
                        <p v-if="sent.errors.webhook_url" class="error" role="alert">{{ sent.errors.webhook_url }}</p>
                        <p v-if="settings.webhookSecret" class="muted">
                            Each call bears X-Watchpost-Signature, the HMAC-SHA-256 of its body with the key
                            <code>{{ settings.webhookSecret }}</code>
                        </p>
                    </template>
                    <Button
                        class="keep"
                        type="submit"
                        label="Keep"
                        size="small"
                        :disabled="!sent.isDirty"
                        :loading="sent.processing"
                    />
                </form>
            </section>

            <section v-if="settings.canLeave" aria-label="Your account size">
                <h2>Your account</h2>
                <p class="muted">What every setup is sized for. Nobody but you sees it.</p>
                <AccountForm :account="settings.account" />
            </section>

            <FeedsBox :feeds="settings.feeds" />

            <section aria-label="Where you are signed in">
                <h2>Where you are signed in</h2>
                <ul>
                    <li v-for="(one, i) in settings.sessions" :key="i">
                        <strong>{{ one.what }}</strong> <span class="muted">{{ one.address }}, last seen {{ one.lastSeen }}</span>
                        <span v-if="one.isHere" class="here">, here</span>
                    </li>
                </ul>
                <Button
                    label="Sign out everywhere else"
                    size="small"
                    severity="secondary"
                    outlined
                    @click="router.post('/settings/sign-out-elsewhere', {}, { preserveScroll: true })"
                />
            </section>

            <section aria-label="Password">
                <h2>Password</h2>
                <form class="form narrow" @submit.prevent="keepPassword">
                    <label for="current">The present one</label>
                    <InputText
                        id="current"
                        v-model="secret.current"
                        type="password"
                        autocomplete="current-password"
                        :invalid="!!secret.errors.current"
                        size="small"
                        fluid
                    />
                    <p v-if="secret.errors.current" class="error" role="alert">{{ secret.errors.current }}</p>
                    <label for="new-password">A new one, at least eight characters</label>
                    <InputText
                        id="new-password"
                        v-model="secret.password"
                        type="password"
                        autocomplete="new-password"
                        :invalid="!!secret.errors.password"
                        size="small"
                        fluid
                    />
                    <label for="new-again">Once more</label>
                    <InputText
                        id="new-again"
                        v-model="secret.password_confirmation"
                        type="password"
                        autocomplete="new-password"
                        size="small"
                        fluid
                    />
                    <p v-if="secret.errors.password" class="error" role="alert">{{ secret.errors.password }}</p>
                    <Button class="keep" type="submit" label="Set it" size="small" :loading="secret.processing" />
                </form>
            </section>

            <section v-if="settings.canLeave" aria-label="Leave">
                <h2>Delete your account</h2>
                <p class="muted">
                    Your name, address, settings and all that was sent to you are deleted at once. The editions and the record
                    stay as they are: they hold nothing of their readers.
                </p>
                <Button label="Delete my account…" size="small" severity="secondary" outlined @click="asked = true" />
            </section>
        </div>
        <Dialog v-model:visible="asked" modal header="Delete your account?" :style="{ width: '400px' }">
            <form class="dialog-form" @submit.prevent="leaving.delete('/settings')">
                <p>This cannot be taken back.</p>
                <label for="leave-current">Your password</label>
                <InputText
                    id="leave-current"
                    v-model="leaving.current"
                    type="password"
                    autocomplete="current-password"
                    :invalid="!!leaving.errors.current"
                    fluid
                />
                <p v-if="leaving.errors.current" class="error" role="alert">{{ leaving.errors.current }}</p>
                <div class="dialog-buttons">
                    <Button type="button" label="Keep it" text severity="secondary" @click="asked = false" />
                    <Button type="submit" label="Delete it" severity="danger" :loading="leaving.processing" />
                </div>
            </form>
        </Dialog>
    </AppShell>
</template>

<style scoped>
.page {
    display: flex;
    flex-direction: column;
    gap: 24px;
    max-width: 640px;
    margin: 0 auto;
    padding: 16px 16px 40px;
}
.page > section {
    display: flex;
    flex-direction: column;
    align-items: flex-start;
    gap: 6px;
    padding-top: 12px;
    border-top: 1px solid var(--hair-2);
}
.form {
    display: flex;
    flex-direction: column;
    gap: 6px;
    width: 100%;
}
.form.narrow {
    max-width: 320px;
}
.switch {
    display: flex;
    align-items: center;
    gap: 10px;
    min-height: 28px;
}
.keep {
    align-self: flex-start;
}
code {
    overflow-wrap: anywhere;
}
ul {
    margin: 0;
    padding: 0;
    list-style: none;
}
.here {
    font-weight: 600;
}
</style>
