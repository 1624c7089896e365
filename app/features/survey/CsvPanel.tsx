import { useState } from 'react'
import { FileTrigger } from 'react-aria-components'
import { readingsFromCsv } from '~/core/files/readingsCsv'
import { useWallEditor } from '~/editor/WallEditor'
import { csvProblemText, tooManyText } from '~/messages'
import { LIMITS } from '~/model'
import { Button, LinkButton } from '~/ui/Button'
import { Alert, Row } from '~/ui/page'
import { newEntryId } from './takeReading'

/** Readings out to a file and in from one: all of them, or none and the reasons. */
export function CsvPanel() {
  const { identity, workpiece, edit, saveNow } = useWallEditor()
  const { survey } = workpiece.wall
  const [problems, setProblems] = useState<readonly string[]>([])
  const path = `/jobs/${identity.job.id}/walls/${identity.id}/readings.csv`
  const open = async (files: FileList | null) => {
    const file = files?.[0]
    if (!file) return
    const { units } = workpiece.settings
    const read = readingsFromCsv(await file.text(), units, new Date().toISOString(), () => newEntryId('f'))
    if (!read.ok) return setProblems(read.issue.map((problem) => csvProblemText(problem, units)))
    const has = survey.readings.length
    if (has + read.value.length > LIMITS.readings)
      return setProblems([tooManyText('readings', has, read.value.length)])
    setProblems([])
    edit([{ type: 'patchSurvey', patch: { readings: [...survey.readings, ...read.value] } }], 'done')
    await saveNow()
  }
  return (
    <>
      <Row>
        <FileTrigger acceptedFileTypes={['.csv', 'text/csv']} onSelect={(files) => void open(files)}>
          <Button>Readings from a file</Button>
        </FileTrigger>
        <LinkButton href={path} download="readings.csv">
          Readings to a file
        </LinkButton>
        <LinkButton href={`${path}?template`} download="readings-template.csv">
          Template
        </LinkButton>
        <LinkButton href="/devices" target="_blank">
          Stand-in devices
        </LinkButton>
      </Row>
      {problems.length > 0 ? (
        <Alert role="alert">
          <strong>No reading was taken in.</strong>
          <ul>
            {problems.map((problem) => (
              <li key={problem}>{problem}</li>
            ))}
          </ul>
        </Alert>
      ) : null}
    </>
  )
}
