import { useState } from 'react'
import { ToggleButton } from 'react-aria-components'
import { styled } from 'styled-components'
import { paperNames, paperPageText, paperText } from '~/messages'
import { BOOKLET_PARTS, type BookletPart, type Look, LOOKS, PAPERS, type PaperSize } from '~/model'
import { Button } from '~/ui/Button'
import { Picks } from '~/ui/Picks'
import { Row, Sheet, Soft } from '~/ui/page'
import { narrow, space, touch, type } from '~/ui/theme'
import { Buttons, GetButton, GetState, GiveUp } from './GetFile'
import type { PaperPageJob } from './pageJob'
import { useGetFile } from './useGetFile'

const Parts = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(218px, 1fr));
  gap: ${space.s};
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`
/** A part of the booklet as a sheet on the bench: picked, it lies in. */
const Part = styled(ToggleButton)`
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr);
  gap: 0 ${space.s};
  align-content: start;
  min-height: 64px;
  padding: ${space.s} ${space.m};
  border: 1px solid var(--line);
  border-left: 6px solid var(--line);
  border-radius: 3px;
  background: var(--raised);
  color: var(--ink);
  text-align: left;
  font-size: ${type.body};
  cursor: pointer;
  & > i {
    width: 16px;
    height: 16px;
    margin-top: 3px;
    border: 2px solid var(--edge);
    border-radius: 3px;
  }
  & > b {
    font-weight: 650;
  }
  & > small {
    grid-column: 2;
    color: var(--ink-soft);
  }
  &[data-selected] {
    border-color: var(--edge);
    border-left-color: var(--chalk);
  }
  &[data-selected] > i {
    border-color: var(--chalk);
    background: var(--chalk);
  }
`
const Walls = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.xs};
`
const Wall = styled(ToggleButton)`
  min-height: 44px;
  padding: ${space.xs} ${space.m};
  border: 1px solid var(--edge);
  border-radius: 999px;
  background: none;
  color: var(--ink-soft);
  font-size: ${type.body};
  cursor: pointer;
  &[data-selected] {
    background: var(--bar);
    color: var(--bar-ink);
  }
  ${touch} {
    min-height: 48px;
  }
`

/** The booklet: which parts, which walls, on what paper. */
export function BookletSheet({ job, datum }: { readonly job: PaperPageJob; readonly datum: string }) {
  const file = useGetFile()
  const [parts, setParts] = useState<ReadonlySet<BookletPart>>(new Set(BOOKLET_PARTS))
  const [walls, setWalls] = useState<ReadonlySet<string>>(new Set(job.walls.map(({ id }) => id)))
  const [paper, setPaper] = useState<PaperSize>(job.units === 'mm' ? 'a4' : 'letter')
  const [look, setLook] = useState<Look>('moment')
  const flip = <Of,>(set: ReadonlySet<Of>, one: Of, on: boolean) =>
    new Set(on ? [...set, one] : [...set].filter((each) => each !== one))
  const all = walls.size === job.walls.length
  const query = new URLSearchParams({
    paper,
    datum,
    look,
    parts: BOOKLET_PARTS.filter((part) => parts.has(part)).join(','),
    // all are asked for by none, so that a long job makes no long address
    ...(all ? {} : { walls: [...walls].join(',') }),
  })
  const none = parts.size === 0 || walls.size === 0
  return (
    <Sheet aria-label={paperPageText.booklet}>
      <h2>{paperPageText.booklet}</h2>
      <Soft>{paperPageText.bookletHow}</Soft>
      <Parts role="group" aria-label={paperPageText.parts}>
        {BOOKLET_PARTS.map((part) => (
          <Part
            key={part}
            aria-label={paperText.parts[part]}
            isSelected={parts.has(part)}
            onChange={(on) => setParts(flip(parts, part, on))}
          >
            <i aria-hidden="true" />
            <b>{paperText.parts[part]}</b>
            <small>{paperPageText.partOf[part]}</small>
          </Part>
        ))}
      </Parts>
      <Row>
        <h3>{paperPageText.walls}</h3>
        <Button onPress={() => setWalls(new Set(all ? [] : job.walls.map(({ id }) => id)))}>
          {all ? paperPageText.noWalls : paperPageText.allWalls}
        </Button>
      </Row>
      <Walls role="group" aria-label={paperPageText.walls}>
        {job.walls.map(({ id, name }) => (
          <Wall key={id} isSelected={walls.has(id)} onChange={(on) => setWalls(flip(walls, id, on))}>
            {name}
          </Wall>
        ))}
      </Walls>
      <Row>
        <span aria-hidden="true">{paperPageText.look}</span>
        <Picks<Look>
          label={paperPageText.look}
          value={look}
          options={LOOKS.map((id) => ({ id, text: paperPageText.looks[id] }))}
          onChange={setLook}
        />
      </Row>
      <Buttons>
        <Picks
          label={paperPageText.paper}
          value={paper}
          options={PAPERS.map((id) => ({ id, text: paperNames[id] }))}
          onChange={setPaper}
        />
        <GetButton
          main
          name={paperPageText.getBooklet}
          href={`/jobs/${job.id}/paper/booklet.pdf?${query}`}
          file={file}
          off={none}
        />
        <GiveUp file={file} />
      </Buttons>
      <Soft>{none ? paperPageText.pickSome : paperPageText.picked(parts.size, walls.size)}</Soft>
      <GetState state={file.state} />
    </Sheet>
  )
}
