import { useForm } from 'vee-validate'
import { ref } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import { fieldLabel } from '#core/model/changes'
import { entities } from '#core/model/entities'
import type { EntityName } from '#core/model/entities'
import { fieldProblems } from '#shared/problems'

type Values = Record<string, unknown>

/**
 * The one form pattern: a new row or an edited one, checked field by field by the same schema as the
 * server's, with the server's own findings put to the fields they are about. Nothing typed is lost.
 */
export function useRowForm(entity: EntityName, initial: () => Values) {
  const store = useRefitStore()
  /** Reading a page needs no checks, so they come when something is saved. Where they do not, the server's are to the same fields. */
  const schema = () =>
    import('#shared/schemas/entitySchema').then(
      (one) => one.createSchema(entity),
      () => null,
    )
  // Only what the form shows is checked here, under the name that it has there; the rest is filled in on saving.
  const shown = new Map<string, string>()
  const checks = Object.fromEntries(
    Object.keys(entities[entity]).map((name) => [
      name,
      async (value: unknown) => {
        const label = shown.get(name)
        if (label === undefined) return true
        const error = (await schema())
          ?.extract(name)
          .label(label)
          .validate(value === '' ? undefined : value).error
        return error ? (fieldProblems(error)[0]?.message ?? error.message) : true
      },
    ]),
  )
  const { values, errors, setFieldValue, setFieldError, setErrors, resetForm, validate } =
    useForm<Values>({
      initialValues: initial(),
      validationSchema: checks,
      keepValuesOnUnmount: true,
    })
  const wrong = ref('')
  /** Messages wait until the first try to save: an empty form is no mistake. */
  const tried = ref(false)
  const busy = ref(false)
  const unread = useUnread()

  /** What an input of the field needs: value, label, message and where to put the new value. */
  const bind = (name: string, label = fieldLabel(entity, name)) => {
    shown.set(name, label)
    return {
      entity,
      field: name,
      label,
      modelValue: values[name] as never,
      error: tried.value ? errors.value[name] : undefined,
      'onUpdate:modelValue': (value: unknown) => set(name, value),
      onInvalid: unread.mark(name),
    }
  }
  /** A new value takes its message away at once: one that went a moment later would move the page under a press. */
  function set(name: string, value: unknown) {
    setFieldValue(name, value, false)
    setFieldError(name, undefined)
  }

  const given = (): Values =>
    Object.fromEntries(Object.entries(values).filter(([, value]) => value !== undefined))

  /** Checks, then sends the operations made of the values. True when they went through. */
  async function save(label: string, itemsOf: (values: Values) => ChangeItem[]): Promise<boolean> {
    if (busy.value) return false
    wrong.value = ''
    tried.value = true
    if (unread.first() !== '') {
      wrong.value = unread.first()
      return false
    }
    busy.value = true
    try {
      const { valid } = await validate()
      if (!valid) {
        wrong.value =
          Object.values(errors.value).find((message) => message) ?? 'Something is missing.'
        return false
      }
      return await store.submit(label, itemsOf(given()))
    } catch (error) {
      wrong.value = sentenceOf(error)
      if (error instanceof ProblemError)
        setErrors(
          Object.fromEntries(
            error.problem.fields.map(({ field, message }) => [
              field.split('.').at(-1) ?? '',
              message,
            ]),
          ),
        )
      return false
    } finally {
      busy.value = false
    }
  }
  const reset = (to?: Values) => {
    wrong.value = ''
    tried.value = false
    unread.clear()
    resetForm({ values: to ?? initial() }, { force: true })
  }
  return { values, errors, bind, save, reset, wrong, busy, set }
}
