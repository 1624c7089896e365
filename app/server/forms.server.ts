import { data } from 'react-router'
import { troubleText } from '~/messages'
import { parseWithZod } from '@conform-to/zod/v4'
import type { z } from 'zod'

/** Reads a posted form with its schema: the value, or the reply that puts each problem beside its field. */
export function readForm<S extends z.ZodType>(form: FormData, schema: S) {
  const submission = parseWithZod(form, { schema })
  return submission.status === 'success'
    ? { ok: true as const, value: submission.value as z.output<S> }
    : { ok: false as const, reply: submission.reply() }
}

/** What a form posted. Throws an answer that says so where it can't be read. */
export async function formOf(request: Request): Promise<FormData> {
  try {
    return await request.formData()
  } catch {
    throw data(troubleText.form, { status: 400 })
  }
}

/** One text field of a posted form; empty when it is missing or a file. */
export function textOf(form: FormData, name: string): string {
  const value = form.get(name)
  return typeof value === 'string' ? value : ''
}
