import { getFormProps, type SubmissionResult, useForm } from '@conform-to/react'
import { parseWithZod } from '@conform-to/zod/v4'
import { useState } from 'react'
import { Form } from 'react-router'
import { type Tape, tapesFor, type Units } from '~/length'
import { Button, LinkButton } from '~/ui/Button'
import { tapeName, unitsName } from '~/messages'
import { PageMain, Row, Sheet } from '~/ui/page'
import { RadioRow } from '~/ui/RadioRow'
import { narrow, space } from '~/ui/theme'
import { styled } from 'styled-components'
import { TextBox } from '~/ui/TextBox'
import type { z } from 'zod'
import { newJobForm } from './jobForms'
import { TopBar } from '~/ui/TopBar'
import { WallLines } from './WallLines'

const Pair = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: ${space.m};
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`
const Choices = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.m} ${space.xl};
`

const UNIT_EXAMPLES: Readonly<Record<Units, string>> = {
  inches: '69 3/16',
  'feet-inches': "5' 9 3/16",
  mm: '1757 mm',
}

/** A new job: its name, for whom, and how its lengths are written. */
export function NewJobPage({
  last,
  lastResult,
}: {
  /** The job worked on last: its habits are taken unless a person wants none. */
  last: { readonly id: string; readonly name: string; readonly units: Units; readonly tape: Tape } | null
  lastResult: SubmissionResult<string[]> | undefined
}) {
  const [form, fields] = useForm<z.input<typeof newJobForm>, z.output<typeof newJobForm>>({
    lastResult: lastResult ?? null,
    onValidate: ({ formData }) => parseWithZod(formData, { schema: newJobForm }),
    shouldValidate: 'onSubmit',
    shouldRevalidate: 'onInput',
  })
  const [units, setUnits] = useState<Units>(last?.units ?? 'inches')
  const [tape, setTape] = useState<Tape>(last?.tape ?? '1/16')
  const [habits, setHabits] = useState<'last' | 'own'>(last ? 'last' : 'own')
  const changeUnits = (next: Units) => {
    setUnits(next)
    if (!tapesFor(next).includes(tape)) setTape(tapesFor(next)[1] ?? tape)
  }
  return (
    <>
      <TopBar />
      <PageMain>
        <h1>New job</h1>
        <Form method="post" {...getFormProps(form)}>
          <Sheet>
            <Pair>
              <TextBox
                label="Job"
                name={fields.name.name}
                defaultValue={fields.name.initialValue ?? ''}
                problem={fields.name.errors?.[0]}
                autoFocus
              />
              <TextBox
                label="Client"
                name={fields.client.name}
                defaultValue={fields.client.initialValue ?? ''}
                problem={fields.client.errors?.[0]}
              />
            </Pair>
            <Choices>
              <RadioRow<Units>
                label="Lengths are written in"
                name="units"
                value={units}
                options={(['inches', 'feet-inches', 'mm'] as const).map((id) => ({
                  id,
                  text: `${unitsName(id)}: ${UNIT_EXAMPLES[id]}`,
                }))}
                onChange={changeUnits}
              />
              <RadioRow<Tape>
                label="The tape is read to"
                name="tape"
                value={tape}
                options={tapesFor(units).map((id) => ({ id, text: tapeName(id).replace('tape to ', '') }))}
                onChange={setTape}
              />
              {last ? (
                <RadioRow<'last' | 'own'>
                  label="Materials, boards, prices and layout"
                  name="habit"
                  value={habits}
                  options={[
                    { id: 'last', text: `as in ${last.name}` },
                    { id: 'own', text: 'from the start' },
                  ]}
                  onChange={(next) => {
                    setHabits(next)
                    // units taken over with the habits go with them; units that were chosen stay
                    if (next === 'own' && units === last.units && tape === last.tape) {
                      setUnits('inches')
                      setTape('1/16')
                    }
                  }}
                />
              ) : null}
            </Choices>
            <input type="hidden" name="habits" value={habits === 'last' ? (last?.id ?? '') : ''} />
            <TextBox
              label="Room"
              name={fields.room.name}
              defaultValue={fields.room.initialValue ?? 'Room 1'}
              problem={fields.room.errors?.[0]}
            />
            <WallLines
              name={fields.lines.name}
              units={units}
              tape={tape}
              initial={fields.lines.initialValue ?? ''}
              problems={fields.lines.errors ?? []}
            />
            <Row>
              <Button type="submit" $kind="main">
                Start the job
              </Button>
              <LinkButton href="/">Back to all jobs</LinkButton>
            </Row>
          </Sheet>
        </Form>
      </PageMain>
    </>
  )
}
