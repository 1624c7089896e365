import { data } from 'react-router'
import type { Route } from './+types/yard'
import { orShown } from '~/features/anywhere/lastShown'
import { useFresh } from '~/features/anywhere/useFresh'
import { YardPage } from '~/features/yard/YardPage'
import { onDatabase } from '~/server/database.server'
import type { Database } from '~/server/db/database.server'
import { lastJob, habitSettings } from '~/server/habits.server'
import { formOf, textOf } from '~/server/forms.server'
import { askSupplier, STAND_IN } from '~/server/suppliers.server'
import { moodOf, setMood, SUPPLIER_MOODS } from '~/server/supplierStandIn.server'
import * as yard from '~/server/yard.server'

export const meta = () => [{ title: 'The yard · Regla' }]

/** How lengths and money are written here: as in the job that was worked on last. */
function writing(db: Database) {
  const last = lastJob(db)
  const settings = last && habitSettings(db, last.id)
  return {
    units: settings?.units ?? ('inches' as const),
    tape: settings?.tape ?? ('1/16' as const),
    currency: settings?.currency ?? 'USD',
  }
}

export function loader() {
  return onDatabase((db) => {
    const stock = yard.stockOf(db)
    const { units, tape, currency } = writing(db)
    return {
      stock,
      acts: yard.yardActsOf(db),
      units,
      tape,
      currency,
      lists: yard.listsRead(db, units),
      mood: moodOf(),
    }
  })
}

export async function action({ request }: Route.ActionArgs) {
  const form = await formOf(request)
  const intent = textOf(form, 'intent')
  const supplier = textOf(form, 'supplier')
  if (intent === 'ask') {
    const known = onDatabase((db) => yard.stockOf(db).suppliers.find(({ id }) => id === supplier))
    if (!known) throw data('There is no such supplier.', { status: 404 })
    return { asked: { supplier, ...(await askSupplier(onDatabase, known)) } }
  }
  if (intent === 'mood') {
    const mood = SUPPLIER_MOODS.find((each) => each === textOf(form, 'mood'))
    if (!mood) throw data('The stand-in does not know how to behave like that.', { status: 400 })
    await setMood(mood)
    return {}
  }
  return onDatabase((db) => carryOut(db, intent, form))
}

function posted(form: FormData): unknown {
  try {
    return JSON.parse(textOf(form, 'value'))
  } catch {
    return null
  }
}

function carryOut(db: Database, intent: string, form: FormData) {
  const said = (kept: boolean) => (kept ? {} : { refused: intent })
  switch (intent) {
    case 'addLength':
      return said(yard.addLength(db, posted(form)))
    case 'changeLength': {
      const done = yard.changeLength(db, posted(form))
      return typeof done === 'boolean' ? said(done) : { clash: done }
    }
    case 'dropLength': {
      const dropClash = yard.dropLength(db, posted(form))
      return dropClash ? { dropClash } : {}
    }
    case 'saveMaterial':
      return said(yard.saveMaterial(db, posted(form)))
    case 'addSupplier':
      return said(
        yard.addSupplier(db, {
          name: textOf(form, 'name'),
          address: textOf(form, 'address').trim().replace(/\/$/, '') || null,
        }) !== null,
      )
    case 'addStandIn':
      return said(yard.addSupplier(db, { name: 'Stand-in Lumber', address: STAND_IN }, STAND_IN) !== null)
    case 'bringList':
      return said(yard.bringList(db, textOf(form, 'supplier'), textOf(form, 'text')))
    case 'takeList':
      return said(yard.takeWaiting(db, textOf(form, 'list'), writing(db).units))
    case 'leaveList':
      yard.endList(db, textOf(form, 'list'))
      return {}
    case 'keepForCrew':
      return said(yard.keepForCrew(db, posted(form)))
    default:
      throw data(`Nobody knows how to “${intent.slice(0, 40)}” in the yard.`, { status: 400 })
  }
}

export const clientLoader = ({ request, serverLoader }: Route.ClientLoaderArgs) =>
  orShown(request, serverLoader)

export default function Yard({ loaderData, actionData }: Route.ComponentProps) {
  const asked = actionData && 'asked' in actionData ? actionData.asked : null
  const refused = actionData && 'refused' in actionData ? actionData.refused : null
  const [fresh] = useFresh(loaderData)
  return <YardPage {...fresh} asked={asked ?? null} refused={refused ?? null} />
}
