<script setup lang="ts">
import { type PracticeSite, PRACTICE_SITES, type School, allMethods, joinable, methodOf } from '@jugalis/core'
import { ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/select/style/css'
import 'element-plus/es/components/option/style/css'
import { computed } from 'vue'
import { askedFields } from '../../asked-fields'
import { named, told, word } from '../../words/word'
import { placeSaid } from './how-text'
import { type Lying, usualJoint } from './use-bench'

/** What lies on the bench, where, and whose hand makes it. */
const lying = defineModel<Lying>({ required: true })
const methods = allMethods()
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
    <ElSelect
      :teleported="false"
      :model-value="lying.method"
      size="large"
      :aria-label="word('practice-method')"
      @update:model-value="chooseMethod"
    >
      <ElOption v-for="m in methods" :key="m.id" :value="m.id" :label="told(m.name)" />
    </ElSelect>
    <ElSelect
      :teleported="false"
      :model-value="lying.material"
      size="large"
      :aria-label="word('ui-material')"
      @update:model-value="(to: string) => chooseOther(to, lying.school)"
    >
      <ElOption v-for="m in materials" :key="m" :value="m" :label="named(m)" />
    </ElSelect>
    <ElSelect
      :teleported="false"
      :model-value="lying.size"
      size="large"
      filterable
      :aria-label="word('ui-size')"
      @update:model-value="(size: string) => put({ size })"
    >
      <ElOption v-for="size in sizes" :key="size" :value="size" :label="named(size)" />
    </ElSelect>
    <ElSelect
      v-if="schools.length > 1"
      :teleported="false"
      :model-value="lying.school"
      size="large"
      :aria-label="word('practice-school')"
      @update:model-value="(to: School) => chooseOther(lying.material, to)"
    >
      <ElOption
        v-for="school in schools"
        :key="school"
        :value="school"
        :label="word(`practice-school-${school}`)"
      />
    </ElSelect>
    <ElSelect
      v-for="field in asked"
      :key="field.key"
      :teleported="false"
      :model-value="String(lying.details[field.key] ?? '')"
      size="large"
      clearable
      :aria-label="told(field.label)"
      :placeholder="told(field.label)"
      @update:model-value="(to: string) => detail(field.key, to)"
    >
      <ElOption v-for="option in field.options" :key="option" :value="option" :label="named(option)" />
    </ElSelect>
    <ElSelect
      :teleported="false"
      :model-value="lying.site"
      size="large"
      :aria-label="word('practice-site')"
      @update:model-value="(to: PracticeSite) => put({ site: to })"
    >
      <ElOption v-for="one in sites" :key="one" :value="one" :label="word(`practice-site-${one}`)" />
    </ElSelect>
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
