<script setup lang="ts">
import { type PracticeSite, PRACTICE_SITES, type School, allMethods, joinable, methodOf } from '@jugalis/core'
import { computed } from 'vue'
import { askedFields } from '../../asked-fields'
import PickOne from '../../frame/PickOne.vue'
import { named, told, word } from '../../words/word'
import { placeSaid } from './how-text'
import { type Lying, usualJoint } from './use-bench'

/** What lies on the bench, where, and whose hand makes it. */
const lying = defineModel<Lying>({ required: true })
const methods = allMethods().map((m) => [m.id, told(m.name)] as const)
/** Names as people read them, beside what is stored. */
const said = (all: readonly string[]) => all.map((one) => [one, named(one)] as const)
const method = computed(() => methodOf(lying.value.method))
const materials = computed(() => Object.keys(method.value?.joins ?? {}))
const fits = (material: string, size: string, school: School): boolean =>
  joinable(lying.value.method, material, size, school).ok
const sizes = computed(() =>
  (method.value?.sizes(lying.value.material) ?? []).filter((size) =>
    fits(lying.value.material, size, lying.value.school),
  ),
)
const asked = computed(() =>
  askedFields(lying.value.method, false)
    .concat(method.value?.fields.filter((f) => f.byPart) ?? [])
    .filter((f) => f.options),
)
const sites = Object.keys(PRACTICE_SITES) as PracticeSite[]
const put = (change: Partial<Lying>): void => void Object.assign(lying.value, change)
const chooseMethod = (id: string): void => put({ method: id, ...usualJoint(id, lying.value.school) })
/** Another material or school: the size that stood there where it is made, else one from the middle. */
function chooseOther(material: string, school: School): void {
  const made = (method.value?.sizes(material) ?? []).filter((size) => fits(material, size, school))
  const size = made.includes(lying.value.size) ? lying.value.size : made[Math.floor(made.length / 2)]
  if (size !== undefined) put({ material, school, size, details: {} })
}
const schools = computed(() =>
  (['metric', 'inch'] as const).filter((school) =>
    (method.value?.sizes(lying.value.material) ?? []).some((size) =>
      fits(lying.value.material, size, school),
    ),
  ),
)
function detail(key: string, value: string): void {
  const details = { ...lying.value.details }
  if (value) details[key] = value
  else delete details[key]
  put({ details })
}
</script>

<template>
  <div class="set-up no-print">
    <PickOne
      :model-value="lying.method"
      :label="word('practice-method')"
      :options="methods"
      @update:model-value="(to) => chooseMethod(to ?? lying.method)"
    />
    <PickOne
      :model-value="lying.material"
      :label="word('ui-material')"
      :options="said(materials)"
      @update:model-value="(to) => chooseOther(to ?? lying.material, lying.school)"
    />
    <PickOne
      :model-value="lying.size"
      :label="word('ui-size')"
      :options="said(sizes)"
      filterable
      @update:model-value="(to) => put({ size: to ?? lying.size })"
    />
    <PickOne
      v-if="schools.length > 1"
      :model-value="lying.school"
      :label="word('practice-school')"
      :options="schools.map((school) => [school, word(`practice-school-${school}`)])"
      @update:model-value="(to) => chooseOther(lying.material, to ?? lying.school)"
    />
    <PickOne
      v-for="field in asked"
      :key="field.key"
      :model-value="String(lying.details[field.key] ?? '')"
      :label="told(field.label)"
      :options="said(field.options ?? [])"
      clearable
      @update:model-value="(to) => detail(field.key, to ?? '')"
    />
    <PickOne
      :model-value="lying.site"
      :label="word('practice-site')"
      :options="sites.map((site) => [site, word(`practice-site-${site}`)])"
      @update:model-value="(to) => put({ site: to ?? lying.site })"
    />
    <button type="button" class="button" @click="put({ seed: lying.seed + 1 })">
      {{ word('practice-hand') }}
    </button>
    <p class="why">
      {{ placeSaid(lying.site) }}
      {{ word('practice-hand-is', { no: lying.seed }) }}
    </p>
  </div>
</template>

<style scoped>
.set-up {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.set-up :deep(.el-select) {
  width: 176px;
}
.why {
  flex-basis: 100%;
}
@media (max-width: 720px) {
  .set-up :deep(.el-select) {
    flex: 1 1 40%;
    width: auto;
  }
}
</style>
