<script setup lang="ts">
import { Head, Link, router, usePage } from '@inertiajs/vue3';
import Button from 'primevue/button';
import ConfirmDialog from 'primevue/confirmdialog';
import Menu from 'primevue/menu';
import Toast from 'primevue/toast';
import { useToast } from 'primevue/usetoast';
import { computed, ref, watch } from 'vue';
import { dark, toggleTheme } from '@/lib/theme';
import { helpOpen } from '@/lib/keys';
import { see } from '@/lib/revision';
import type { PlanData } from '@/types/data';
import DayLine from './DayLine.vue';
import KeysHelp from './KeysHelp.vue';
import MarketControl from './MarketControl.vue';

defineProps<{ title: string; step?: string }>();

const page = usePage();
const toast = useToast();
const menu = ref<InstanceType<typeof Menu>>();
const person = computed(() => page.props.person);
const roleLabel = computed(() => {
    const one = person.value;
    return one === null ? '' : one.tier === null ? one.role : `${one.tier} subscriber`;
});

// a change that was made on top of what someone else changed meanwhile
watch(
    () => (page.props.errors as Record<string, string> | undefined)?.stale,
    (stale) => {
        if (stale !== undefined && (page.props.errors as Record<string, string>).theirs === undefined) {
            toast.add({ severity: 'warn', summary: stale, life: 15000 });
        }
    },
);
watch(
    () => page.props.plan as PlanData | undefined,
    (plan) => {
        if (plan !== undefined) {
            see(plan.id, plan.revision);
        }
    },
    { immediate: true },
);
watch(
    () => page.props.notice,
    (notice) => {
        if (notice !== null) {
            toast.add({ severity: 'secondary', summary: notice, life: 5000 });
        }
    },
    { immediate: true },
);

const items = computed(() => [
    { label: 'Editions as subscribers read them', icon: 'pi pi-book', command: () => router.visit('/editions') },
    ...(person.value?.mayPlan === true
        ? [
              { label: 'How your levels did', icon: 'pi pi-history', command: () => router.visit('/levels') },
              ...(person.value.mayPublish
                  ? [{ label: 'Subscribers and tiers', icon: 'pi pi-users', command: () => router.visit('/subscribers') }]
                  : []),
              { label: 'Data: feeds, files, instruments', icon: 'pi pi-database', command: () => router.visit('/data') },
          ]
        : []),
    { label: 'Your settings', icon: 'pi pi-cog', command: () => router.visit('/settings') },
    { label: dark.value ? 'Light paper' : 'Dark paper', icon: dark.value ? 'pi pi-sun' : 'pi pi-moon', command: toggleTheme },
    { label: 'Keys of this screen', icon: 'pi pi-question-circle', command: () => (helpOpen.value = true) },
    { separator: true },
    { label: 'Sign out', icon: 'pi pi-sign-out', command: () => router.post('/sign-out') },
]);
</script>

<template>
    <Head :title="title" />
    <a class="skip" href="#work">Skip to the work</a>
    <header class="head">
        <Link href="/" class="mark" aria-label="Watchpost, to the beginning">
            <svg width="20" height="20" viewBox="0 0 20 20" aria-hidden="true">
                <path d="M10 3v14M5 17h10M6 8h8" stroke="currentColor" stroke-width="1.5" fill="none" />
                <circle cx="10" cy="4.5" r="2.2" fill="var(--look)" />
            </svg>
            <span>Watchpost</span>
        </Link>
        <DayLine v-if="page.props.dayLine.length > 0" :steps="page.props.dayLine" :here="step ?? ''" />
        <nav v-else class="readers" aria-label="Pages">
            <Link href="/editions" :class="{ here: step === 'editions' }">Editions</Link>
            <Link href="/record" :class="{ here: step === 'record' }">Record</Link>
        </nav>
        <div class="right">
            <MarketControl v-if="page.props.clock" :clock="page.props.clock" :may-play="person?.mayPlayMarket ?? false" />
            <Link v-if="!person" href="/sign-in" class="sign-in">Sign in</Link>
            <Button
                v-if="person"
                class="person"
                text
                severity="secondary"
                size="small"
                aria-haspopup="true"
                :aria-label="`${person.name}, ${roleLabel}: menu`"
                @click="menu?.toggle($event)"
            >
                <span class="who">{{ person.name }}</span>
                <i class="pi pi-angle-down" aria-hidden="true" />
            </Button>
            <Menu ref="menu" :model="items" popup>
                <template #start>
                    <div class="menu-head">
                        <strong>{{ person?.name }}</strong>
                        <span class="muted">{{ roleLabel }}</span>
                    </div>
                </template>
            </Menu>
        </div>
    </header>
    <main id="work" class="work" tabindex="-1">
        <slot />
    </main>
    <KeysHelp />
    <Toast position="bottom-right" />
    <ConfirmDialog />
</template>

<style scoped>
.skip {
    position: absolute;
    left: -999px;
}
.skip:focus {
    left: 8px;
    top: 8px;
    z-index: 10;
    background: var(--sheet);
    padding: 4px 8px;
}
.head {
    position: sticky;
    top: 0;
    z-index: 5;
    display: grid;
    grid-template-columns: auto minmax(0, 1fr) auto;
    align-items: center;
    gap: 24px;
    height: 56px;
    padding: 0 16px;
    border-bottom: 1px solid var(--hair-2);
    background: var(--sheet);
}
.mark {
    display: inline-flex;
    align-items: center;
    gap: 6px;
    font: 600 17px/24px var(--serif);
    text-decoration: none;
}
.right {
    display: flex;
    align-items: center;
    gap: 8px;
}

.sign-in {
    white-space: nowrap;
}
.who {
    white-space: nowrap;
}
.menu-head {
    display: flex;
    flex-direction: column;
    padding: 8px 12px 4px;
}
.readers {
    display: flex;
    gap: 20px;
}
.readers a {
    text-decoration: none;
    color: var(--ink-2);
    padding: 4px 0;
    border-bottom: 2px solid transparent;
}
.readers a.here {
    color: var(--ink);
    border-color: var(--ink);
    font-weight: 600;
}
.work {
    outline: none;
}
@media (max-width: 760px) {
    .head {
        gap: 12px;
        padding: 0 12px;
    }
    .mark span,
    .who {
        display: none;
    }
}
</style>
