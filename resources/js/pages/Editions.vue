<script setup lang="ts">
import { Link, router, useForm, usePage } from '@inertiajs/vue3';
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed, ref } from 'vue';
import AppShell from '@/components/AppShell.vue';
import RStrip from '@/components/RStrip.vue';
import { useShortcuts } from '@/lib/keys';
import { signed } from '@/lib/price';
import type { ChangeSinceData, EditionLinkData, FollowedSetupData, RequestData } from '@/types/data';

/** The archive, and what a reader has before them. */
const props = defineProps<{
    query: string;
    editions: EditionLinkData[];
    older: number | null;
    changes: ChangeSinceData[];
    since: string;
    followed: FollowedSetupData[];
    requests: RequestData[];
}>();

const page = usePage();
const sought = ref(props.query);
const reads = computed(() => page.props.person?.role === 'subscriber');
const ask = useForm({ symbol: '', note: '' });
const STATE: Record<string, string> = {
    open: 'waits',
    taken: 'on the author’s list',
    answered: 'answered',
    declined: 'declined',
};

function search(before?: number): void {
    router.get(
        '/editions',
        { ...(sought.value.trim() === '' ? {} : { q: sought.value.trim() }), ...(before === undefined ? {} : { before }) },
        { preserveState: true },
    );
}

function send(): void {
    ask.post('/requests', { preserveScroll: true, onSuccess: () => ask.reset() });
}

useShortcuts([{ keys: 's', does: 'search the archive', run: () => document.getElementById('search-archive')?.focus() }]);
</script>

<template>
    <AppShell title="Editions" step="editions">
        <div class="page" :class="{ reads }">
            <aside v-if="reads">
                <section v-if="changes.length > 0" aria-label="What changed">
                    <div class="bar">
                        <h2>What changed</h2>
                        <Button
                            label="Seen"
                            size="small"
                            severity="secondary"
                            outlined
                            @click="router.post('/seen', {}, { preserveScroll: true, preserveState: true })"
                        />
                    </div>
                    <p class="muted">since {{ since }}</p>
                    <ul>
                        <li v-for="(change, i) in changes" :key="i">
                            <Link :href="change.path"
                                ><span v-if="change.isFollowed" class="mine" title="on your list">● </span>{{ change.what }}</Link
                            >
                            <span class="when">{{ change.when }}</span>
                        </li>
                    </ul>
                </section>
                <p v-else class="muted">Nothing changed since {{ since }}.</p>
                <section aria-label="Your list">
                    <h2>Your list</h2>
                    <p v-if="followed.length === 0" class="muted">Follow a setup in an edition, and it stands here.</p>
                    <ul>
                        <li v-for="one in followed" :key="`${one.edition}-${one.key}`">
                            <Link :href="`/editions/${one.edition}`"
                                ><strong>{{ one.symbol }}</strong
                                ><template v-if="one.name">, {{ one.name }}</template></Link
                            >
                            <span class="strip">
                                <RStrip :strip="one.outcome.strip" :width="150" />
                                {{
                                    one.outcome.r === null
                                        ? one.outcome.label
                                        : `${one.outcome.label}, ${signed(one.outcome.r, 2)} R`
                                }}
                            </span>
                        </li>
                    </ul>
                </section>
                <section aria-label="Ask for a symbol">
                    <h2>Ask for a symbol</h2>
                    <form @submit.prevent="send">
                        <InputText
                            v-model="ask.symbol"
                            size="small"
                            placeholder="symbol"
                            aria-label="Symbol"
                            :invalid="!!ask.errors.symbol"
                            class="symbol"
                        />
                        <InputText
                            v-model="ask.note"
                            size="small"
                            placeholder="why, if you like"
                            aria-label="Why"
                            maxlength="200"
                        />
                        <Button type="submit" label="Ask" size="small" :loading="ask.processing" />
                    </form>
                    <p v-if="ask.errors.symbol" class="error" role="alert">{{ ask.errors.symbol }}</p>
                    <ul>
                        <li v-for="one in requests" :key="one.id" class="request">
                            <strong>{{ one.symbol }}</strong> {{ STATE[one.state] }}
                            <Link v-if="one.edition" :href="`/editions/${one.edition}`">in edition {{ one.edition }}</Link>
                            <span v-if="one.reason">: {{ one.reason }}</span>
                            <Button
                                v-if="one.state === 'open' || one.state === 'taken'"
                                label="Take back"
                                text
                                size="small"
                                severity="secondary"
                                @click="router.delete(`/requests/${one.id}`, { preserveScroll: true, preserveState: true })"
                            />
                        </li>
                    </ul>
                </section>
            </aside>
            <div class="list">
                <header>
                    <h1>Editions</h1>
                    <form role="search" @submit.prevent="search()">
                        <InputText
                            id="search-archive"
                            v-model="sought"
                            size="small"
                            placeholder="symbol, group, words"
                            aria-label="Search the archive"
                        />
                        <Button type="submit" label="Search" size="small" severity="secondary" outlined />
                    </form>
                </header>
                <p v-if="editions.length === 0" class="muted">
                    <template v-if="query"
                        >No edition says “{{ query }}” in what you read.
                        <Link href="/editions">All editions</Link>
                    </template>
                    <template v-else
                        >Nothing is published yet. The first edition will stand here before its session opens.</template
                    >
                </p>
                <Link v-for="edition in editions" :key="edition.number" :href="`/editions/${edition.number}`" class="one">
                    <span class="number">{{ edition.number }}</span>
                    <span class="what">
                        <strong>{{ edition.session }}</strong>
                        <span class="muted">{{ edition.kind }}, published {{ edition.publishedAt }}</span>
                        <span>{{ edition.symbols.join(', ') }}</span>
                    </span>
                    <span class="standing"
                        >{{ edition.setups }} {{ edition.setups === 1 ? 'setup' : 'setups' }}<br /><span class="muted">{{
                            edition.standing
                        }}</span></span
                    >
                </Link>
                <Button v-if="older" class="older" label="Older ones" text severity="secondary" @click="search(older)" />
                <p v-if="page.props.person" class="muted foot">
                    Mails, a feed, a calendar and a webhook are in <Link href="/settings">your settings</Link>.
                </p>
            </div>
        </div>
    </AppShell>
</template>

<style scoped>
.page {
    max-width: 880px;
    margin: 0 auto;
    padding: 16px;
}
.page.reads {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 340px;
    gap: 40px;
    max-width: 1240px;
}
aside {
    grid-column: 2;
    grid-row: 1;
    display: flex;
    flex-direction: column;
    gap: 20px;
}
.bar {
    display: flex;
    justify-content: space-between;
    align-items: center;
}
aside ul {
    margin: 4px 0 0;
    padding: 0;
    list-style: none;
}
aside section:first-child ul {
    max-height: 300px;
    overflow-y: auto;
}
aside li {
    display: flex;
    flex-direction: column;
    padding: 5px 0;
    border-top: 1px solid var(--hair);
}
aside li.request {
    display: block;
}
.mine {
    color: var(--look);
}
.when {
    font-size: 12px;
    line-height: 16px;
    color: var(--ink-3);
}
.strip {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 8px;
}
aside form {
    display: grid;
    grid-template-columns: 96px minmax(0, 1fr) auto;
    gap: 6px;
    margin-top: 4px;
}
header {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: center;
    gap: 8px;
    margin-bottom: 8px;
}
header form {
    display: flex;
    gap: 6px;
}
h1 {
    font-family: var(--serif);
}
.one {
    display: grid;
    grid-template-columns: 40px minmax(0, 1fr) auto;
    gap: 12px;
    padding: 12px 4px;
    border-top: 1px solid var(--hair-2);
    text-decoration: none;
}
.one:hover {
    background: var(--wash);
}
.older {
    margin: 8px 0;
}
.foot {
    padding: 12px 4px;
    border-top: 1px solid var(--hair-2);
}
.number {
    font: 600 22px/28px var(--serif);
    text-align: right;
}
.what {
    display: flex;
    flex-direction: column;
}
.what strong {
    font: 650 17px/24px var(--serif);
}
.standing {
    max-width: 180px;
    text-align: right;
}
@media (max-width: 900px) {
    .page.reads {
        display: flex;
        flex-direction: column;
        gap: 20px;
    }
}
@media (max-width: 760px) {
    .one {
        grid-template-columns: 28px minmax(0, 1fr);
    }
    .standing {
        grid-column: 2;
        max-width: none;
        text-align: left;
    }
}
</style>
