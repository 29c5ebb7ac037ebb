import { localeContextKey } from 'element-plus'
import en from 'element-plus/es/locale/lang/en'
import { computed, provide } from 'vue'
import { language } from '../words/language'
import { word } from '../words/word'

/** What lists say by themselves, in the reader's words: the package has its own, in its own English. */
export function useListTexts(): void {
  provide(
    localeContextKey,
    computed(() => ({
      name: language.value,
      el: {
        ...en.el,
        select: {
          loading: word('ui-list-loading'),
          noMatch: word('ui-none-so-called'),
          noData: word('ui-none-to-choose'),
          placeholder: word('ui-none-chosen-yet'),
        },
      },
    })),
  )
}
