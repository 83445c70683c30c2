<script setup lang="ts">
import Dialog from 'primevue/dialog';
import { helpOpen, shown } from '@/lib/keys';
</script>

<template>
    <Dialog v-model:visible="helpOpen" header="Keys of this screen" modal dismissable-mask :style="{ width: '760px' }">
        <p v-if="shown.length === 0" class="muted">This screen has no keys of its own.</p>
        <table v-else class="keys">
            <tbody>
                <tr v-for="shortcut in shown" :key="shortcut.keys + shortcut.does">
                    <td>
                        <kbd>{{ shortcut.keys.replaceAll('Arrow', '').replace('Delete', 'Del') }}</kbd>
                    </td>
                    <td>{{ shortcut.does }}</td>
                </tr>
                <tr>
                    <td><kbd>?</kbd></td>
                    <td>this help</td>
                </tr>
            </tbody>
        </table>
    </Dialog>
</template>

<style scoped>
.keys {
    width: 100%;
}
.keys tbody {
    display: grid;
    grid-template-columns: 1fr 1fr;
    column-gap: 32px;
}
.keys tr {
    display: grid;
    grid-template-columns: 116px minmax(0, 1fr);
    align-items: baseline;
    border-bottom: 1px solid var(--hair);
}
td {
    padding: 3px 0;
}
@media (max-width: 760px) {
    .keys tbody {
        grid-template-columns: 1fr;
    }
}
</style>
