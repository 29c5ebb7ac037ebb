<script setup lang="ts">
import { allPieces, fmt } from '@jugalis/core'
import { computed, ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'

/** Cut list, mark strips and labels, made here and saved as files; the makers of paper are loaded when asked for. */
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const pieces = computed(() => allPieces(job.state))
const busy = ref('')
const fault = ref('')
const name = computed(() => job.state.job.name || 'job')
const at = (path: string): string => `${location.origin}/job/${job.jobId}/${path}`

const labels = () =>
  pieces.value.flatMap((p) => [
    {
      tag: p.item.tag,
      lines: [
        `${p.line.material} ${p.item.size}`,
        p.cutMm.value === null ? 'not yet known' : `cut ${fmt.length(p.cutMm.value, job.reader)}`,
      ],
      url: at(`cut/${p.item.id}`),
    },
    ...p.ends.flatMap((e) =>
      e.jointId
        ? [
            {
              tag: e.jointTag ?? '',
              lines: [
                `${p.line.material} ${p.item.size}`,
                e.fitting ? `in ${e.fitting.fitting} ${e.fitting.tag}` : 'free end',
                `of ${p.item.tag}`,
              ],
              url: at(`make/${e.jointId}`),
            },
          ]
        : [],
    ),
  ])

const PAPERS: readonly { id: string; says: string; file: string; make: () => Promise<BlobPart | Blob> }[] = [
  {
    id: 'list',
    says: 'Cut list, PDF',
    file: 'cut-list.pdf',
    make: async () => {
      const { cutList, cutRows } = await import('../../paper/cut-list')
      return (await cutList(name.value, cutRows(pieces.value), job.reader)) as BlobPart
    },
  },
  {
    id: 'xlsx',
    says: 'Cut list, workbook',
    file: 'cut-list.xlsx',
    make: async () => {
      const [{ cutRows }, { cutWorkbook }] = await Promise.all([
        import('../../paper/cut-list'),
        import('../../paper/tables'),
      ])
      return cutWorkbook(cutRows(pieces.value))
    },
  },
  {
    id: 'csv',
    says: 'Cut list, CSV',
    file: 'cut-list.csv',
    make: async () => {
      const [{ cutRows }, { cutCsv }] = await Promise.all([
        import('../../paper/cut-list'),
        import('../../paper/tables'),
      ])
      return cutCsv(cutRows(pieces.value))
    },
  },
  {
    id: 'strips',
    says: 'Mark strips, full size, PDF',
    file: 'mark-strips.pdf',
    make: async () => {
      const { markStrips, stripsOf } = await import('../../paper/mark-strips')
      return (await markStrips(name.value, stripsOf(pieces.value), job.reader)) as BlobPart
    },
  },
  {
    id: 'labels',
    says: 'Labels for pieces and joints, PDF',
    file: 'labels.pdf',
    make: async () => {
      const { labelSheets } = await import('../../paper/labels')
      return (await labelSheets(name.value, labels())) as BlobPart
    },
  },
]
async function save(p: (typeof PAPERS)[number]): Promise<void> {
  busy.value = p.id
  fault.value = ''
  try {
    const made = await p.make()
    const url = URL.createObjectURL(made instanceof Blob ? made : new Blob([made]))
    const link = Object.assign(document.createElement('a'), {
      href: url,
      download: `${name.value.replace(/[^\p{L}\p{N}]+/gu, '-')}-${p.file}`,
    })
    link.click()
    setTimeout(() => URL.revokeObjectURL(url), 10_000)
  } catch {
    fault.value = 'This could not be made. Without signal it must have been made once before on this device.'
  } finally {
    busy.value = ''
  }
}
</script>

<template>
  <Sheet title="On paper and off" @close="emit('close')">
    <p>{{ pieces.length }} pieces. Strips and rulers are full size: print them at 100 %.</p>
    <button
      v-for="p in PAPERS"
      :key="p.id"
      type="button"
      class="button"
      :disabled="busy !== '' || !pieces.length"
      @click="save(p)"
    >
      {{ busy === p.id ? 'Making it …' : p.says }}
    </button>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
  </Sheet>
</template>
