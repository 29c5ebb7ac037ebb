<script setup lang="ts">
import { allPieces, fmt, named } from '@jugalis/core'
import { computed, ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { counted } from '../../counted'

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
        `${named(p.line.material)} ${p.item.size}`,
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
                `${named(p.line.material)} ${p.item.size}`,
                e.fitting ? `in ${e.fitting.fitting} ${e.fitting.tag}` : 'free end',
                `of ${p.item.tag}`,
              ],
              url: at(`make/${e.jointId}`),
            },
          ]
        : [],
    ),
  ])

type Makers = typeof import('../../paper')
const PAPERS: readonly {
  says: string
  file: string
  make: (m: Makers) => Promise<Uint8Array | Blob> | string
}[] = [
  {
    says: 'Cut list, PDF',
    file: 'cut-list.pdf',
    make: (m) => m.cutList(name.value, m.cutRows(pieces.value), job.reader),
  },
  {
    says: 'Cut list, workbook',
    file: 'cut-list.xlsx',
    make: (m) => m.cutWorkbook(m.cutRows(pieces.value), job.reader),
  },
  { says: 'Cut list, CSV', file: 'cut-list.csv', make: (m) => m.cutCsv(m.cutRows(pieces.value), job.reader) },
  {
    says: 'Mark strips, full size, PDF',
    file: 'mark-strips.pdf',
    make: (m) => m.markStrips(name.value, m.stripsOf(pieces.value), job.reader),
  },
  {
    says: 'Mark strips, full size, SVG',
    file: 'mark-strips.svg',
    make: (m) => m.markStripsSvg(name.value, m.stripsOf(pieces.value), job.reader),
  },
  {
    says: 'Labels for pieces and joints, PDF',
    file: 'labels.pdf',
    make: (m) => m.labelSheets(name.value, labels(), m.sheetOf(job.reader)),
  },
]
async function save(p: (typeof PAPERS)[number]): Promise<void> {
  busy.value = p.file
  fault.value = ''
  try {
    const made = await p.make(await import('../../paper'))
    const url = URL.createObjectURL(made instanceof Blob ? made : new Blob([made as BlobPart]))
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
    <p>{{ counted(pieces.length, 'piece') }}. Strips and rulers are full size: print them at 100 %.</p>
    <button
      v-for="p in PAPERS"
      :key="p.file"
      type="button"
      class="button"
      :disabled="busy !== '' || !pieces.length"
      @click="save(p)"
    >
      {{ busy === p.file ? 'Making it …' : p.says }}
    </button>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
  </Sheet>
</template>
