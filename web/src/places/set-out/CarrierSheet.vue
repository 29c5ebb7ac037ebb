<script setup lang="ts">
import { type Line, carrierEdits, carrierOf, lineHead } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { shopNow } from '../../shop'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

/** Pipe-in-pipe: a carrier laid into a line part for part, or brought up to date with it. */
const props = defineProps<{ line: Line }>()
const emit = defineEmits<{ close: []; made: [id: string] }>()
const job = useJob()
const carrier = carrierOf(job.state, props.line)
const outerSizes = computed(() => [
  ...new Set(props.line.items.flatMap((i) => [i.size, ...(i.size2 ? [i.size2] : [])])),
])
const sizes = reactive<Record<string, string>>(
  Object.fromEntries(
    outerSizes.value.map((size) => {
      const i = props.line.items.findIndex((x) => x.size === size)
      return [size, carrier?.items[i]?.size ?? '']
    }),
  ),
)
const tag = ref(carrier?.tag ?? `${props.line.tag}i`)
const fault = ref('')
/** A bare figure means a size of the line's own family. */
const asSize = (typed: string, like: string): string =>
  /^[\d]/.test(typed.trim()) ? (/^\D+/.exec(like)?.[0] ?? '') + typed.trim() : typed.trim()

async function save(): Promise<void> {
  if (!/^[A-Za-z0-9]{1,12}$/.test(tag.value.trim()))
    return void (fault.value = word('set-out-a-carrier-needs-a'))
  const lineId = carrier?.id ?? crypto.randomUUID()
  const own = carrier ?? { ...props.line, tag: tag.value.trim(), items: [] }
  const read = Object.fromEntries(outerSizes.value.map((o) => [o, asSize(sizes[o] ?? '', o)]))
  const shop = shopNow(job.state)
  const made = carrierEdits(props.line, own, read, shop)
  if (!made.ok) return void (fault.value = job.t(made.why))
  await job.write(
    [
      ...(carrier
        ? []
        : [
            {
              kind: 'line-set',
              data: {
                ...lineHead(props.line),
                lineId,
                tag: tag.value.trim(),
                name: word('set-out-name-of-carrier', { name: props.line.name }),
                insideOf: props.line.id,
              },
            },
          ]),
      ...made.edits.map((e) => ({ kind: e.kind, data: { lineId, ...e.data } })),
    ],
    word('set-out-runs-inside', { tag: own.tag, tag2: props.line.tag }),
  )
  emit('made', lineId)
  emit('close')
}
</script>

<template>
  <Sheet :title="word('set-out-a-carrier-inside', { tag: line.tag })" @close="emit('close')">
    <p>
      {{ word('set-out-the-same-fittings-and') }}
    </p>
    <template v-if="!carrier">
      <label for="carrier-tag">{{ word('set-out-tag') }}</label>
      <ElInput id="carrier-tag" v-model="tag" size="large" />
    </template>
    <template v-for="o in outerSizes" :key="o">
      <label :for="`carrier-${o}`">{{ word('set-out-carrier-inside', { o }) }}</label>
      <ElInput :id="`carrier-${o}`" v-model="sizes[o]" size="large" />
    </template>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button class="button main" type="button" @click="save">
      {{ carrier ? word('set-out-bring-it-up-to') : word('set-out-lay-the-carrier-in') }}
    </button>
  </Sheet>
</template>
