<script setup lang="ts">
import { wholeAddress } from '../../base'
import { allPieces, pipeOf } from '@jugalis/core'
import { computed, ref } from 'vue'
import { saveFile } from '../../save-file'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { named, word } from '../../words/word'

/** Cut list, mark strips and labels, made here and saved as files; the makers of paper are loaded when asked for. */
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const pieces = computed(() => allPieces(job.state))
const busy = ref('')
const fault = ref('')
const name = computed(() => job.state.job.name || 'job')
const at = (path: string): string => wholeAddress(`/job/${job.jobId}/${path}`)

const labels = () =>
  pieces.value.flatMap((piece) => [
    {
      tag: piece.item.tag,
      lines: [
        `${named(pipeOf(piece.line, piece.item).material)} ${piece.item.size}`,
        piece.cutMm.value === null ? word('ui-not-yet-known') : word('cut-cut-to', { mm: piece.cutMm.value }),
      ],
      url: at(`cut/${piece.item.id}`),
    },
    ...piece.ends.flatMap((end) =>
      end.jointId
        ? [
            {
              tag: end.jointTag ?? '',
              lines: [
                `${named(pipeOf(piece.line, piece.item).material)} ${piece.item.size}`,
                end.fitting
                  ? word('cut-in-fitting', {
                      fitting: `${named(end.fitting.fitting ?? '')} ${end.fitting.tag}`,
                    })
                  : word('ui-free-end'),
                word('cut-of-piece', { tag: piece.item.tag }),
              ],
              url: at(`make/${end.jointId}`),
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
    says: word('cut-cut-list-pdf'),
    file: 'cut-list.pdf',
    make: (m) => m.cutList(name.value, m.cutRows(pieces.value), job.reader),
  },
  {
    says: word('cut-cut-list-workbook'),
    file: 'cut-list.xlsx',
    make: (m) => m.cutWorkbook(m.cutRows(pieces.value), job.reader),
  },
  {
    says: word('cut-cut-list-csv'),
    file: 'cut-list.csv',
    make: (m) => m.cutCsv(m.cutRows(pieces.value), job.reader),
  },
  {
    says: word('cut-mark-strips-full-size'),
    file: 'mark-strips.pdf',
    make: (m) => m.markStrips(name.value, m.stripsOf(pieces.value), job.reader),
  },
  {
    says: word('cut-mark-strips-full-size-svg'),
    file: 'mark-strips.svg',
    make: (m) => m.markStripsSvg(name.value, m.stripsOf(pieces.value), job.reader),
  },
  {
    says: word('cut-labels-for-pieces-and'),
    file: 'labels.pdf',
    make: (m) => m.labelSheets(name.value, labels(), m.sheetOf(job.reader)),
  },
]
async function save(kind: (typeof PAPERS)[number]): Promise<void> {
  busy.value = kind.file
  fault.value = ''
  try {
    const made = await kind.make(await import('../../paper'))
    saveFile(made as BlobPart, '', `${name.value.replace(/[^\p{L}\p{N}]+/gu, '-')}-${kind.file}`)
  } catch {
    fault.value = word('cut-this-could-not-be')
  } finally {
    busy.value = ''
  }
}
</script>

<template>
  <Sheet :title="word('cut-on-paper-and-off')" @close="emit('close')">
    <p>{{ word('cut-pieces-strips-and-rulers', { pieces: pieces.length }) }}</p>
    <button
      v-for="p in PAPERS"
      :key="p.file"
      type="button"
      class="button"
      :disabled="busy !== '' || !pieces.length"
      @click="save(p)"
    >
      {{ busy === p.file ? word('cut-making-it') : p.says }}
    </button>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
  </Sheet>
</template>
