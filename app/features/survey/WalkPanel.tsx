import { TriangleAlert } from 'lucide-react'
import { styled } from 'styled-components'
import { useWallEditor } from '~/editor/WallEditor'
import { WALK_QUESTIONS, walkCaution } from '~/messages'
import { type WalkQuestion, type WalkRound } from '~/model'
import { Picks } from '~/ui/Picks'
import { Soft } from '~/ui/page'
import { space, type } from '~/ui/theme'

const Question = styled.div`
  display: grid;
  gap: ${space.xs};
  justify-items: start;
`
const Caution = styled.p`
  display: grid;
  grid-template-columns: 18px 1fr;
  gap: ${space.s};
  padding: ${space.s} ${space.m};
  border-left: 4px solid var(--red);
  background: var(--red-wash);
  font-size: ${type.small};
`

/** The walk round the room: everything that is found late, asked before the first design. */
export function WalkPanel() {
  const { workpiece, edit } = useWallEditor()
  const { walkRound } = workpiece.wall.survey
  return (
    <>
      {(Object.keys(WALK_QUESTIONS) as WalkQuestion[]).map((question) => {
        const { ask, answers } = WALK_QUESTIONS[question]
        const answer = walkRound[question]
        const caution = walkCaution(question, answer)
        return (
          <Question key={question}>
            <h3>{ask}</h3>
            <Picks<string>
              label={ask}
              value={answer ?? ''}
              options={answers}
              onChange={(id) => {
                // the answers are the question's own
                const next = { ...walkRound, [question]: id } as WalkRound
                edit([{ type: 'patchSurvey', patch: { walkRound: next } }], 'done')
              }}
            />
            {caution ? (
              <Caution role="note">
                <TriangleAlert size={16} aria-hidden /> {caution}
              </Caution>
            ) : null}
          </Question>
        )
      })}
      <Soft>
        Follow the tool maker’s instructions and local codes; licensed trades do electrical work, plumbing and
        hazardous-material work.
      </Soft>
    </>
  )
}
