import { ChevronDown, CircleAlert } from 'lucide-react'
import { useState } from 'react'
import { styled } from 'styled-components'
import { blocking } from '~/core/findings/surveyFindings'
import type { Finding } from '~/core/findings/finding'
import { nearestNanometer } from '~/length'
import { cutText, findingText, whyNot } from '~/messages'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Row } from '~/ui/page'
import { TextBox } from '~/ui/TextBox'
import { space } from '~/ui/theme'
import { useWallEditor } from './WallEditor'

const Item = styled.li`
  display: grid;
  gap: ${space.s};
  padding: ${space.s} 0;
`

/** One line with its count; what it is about opens with a press, and is circled on the drawing. */
const Trouble = styled.div<{ $opened: boolean }>`
  border-left: 4px solid var(--red);
  background: var(--red-wash);
  padding: 0 ${space.m};
  ${({ $opened }) => ($opened ? 'flex-basis: 100%;' : '')}
`
const Line = styled(Button).attrs({ $kind: 'quiet' })`
  color: var(--red);
  font-weight: 650;
  padding-left: 0;
  &[aria-expanded='true'] > svg:last-child {
    transform: rotate(180deg);
  }
`

function Overrule({ finding }: { finding: Finding }) {
  const { workpiece, edit } = useWallEditor()
  const [reason, setReason] = useState<string | null>(null)
  const { overruled } = workpiece.wall.survey
  const { key = '', figure = null } = finding.blocks ?? {}
  if (reason === null) return <Button onPress={() => setReason('')}>Go on all the same</Button>
  return (
    <Row>
      <TextBox label="Why, for the record" value={reason} onChange={setReason} maxLength={300} autoFocus />
      <Button
        isDisabled={reason.trim() === ''}
        why={whyNot.reason}
        onPress={() =>
          edit(
            [
              {
                type: 'patchSurvey',
                patch: {
                  overruled: [
                    ...overruled.filter((each) => each.key !== key),
                    {
                      key,
                      reason: reason.trim(),
                      figure: figure === null ? null : nearestNanometer(figure),
                    },
                  ],
                },
              },
            ],
            'done',
          )
        }
      >
        Keep the reason and go on
      </Button>
    </Row>
  )
}

/** Says what still keeps the pieces from the saw; each can be overruled, and the reason is kept. */
export function ReadyToCut() {
  const { plan, workpiece, wording, edit } = useWallEditor()
  const { survey } = workpiece.wall
  const open = blocking(plan.findings, survey, workpiece.settings.fit)
  const kept = survey.overruled
  const [opened, setOpened] = useState(false)
  return (
    <>
      {open.length > 0 ? (
        <Trouble role="region" aria-label="Not ready to cut" $opened={opened}>
          <Line aria-expanded={opened} onPress={() => setOpened(!opened)}>
            <CircleAlert size={18} aria-hidden />
            {cutText.notReady(open.length)}
            <ChevronDown size={18} aria-hidden />
          </Line>
          {opened ? (
            <ul>
              {open.map((finding) => (
                <Item key={finding.blocks?.key}>
                  <Fractions text={findingText(finding.says, wording)} />
                  <span>
                    <Overrule finding={finding} />
                  </span>
                </Item>
              ))}
            </ul>
          ) : null}
        </Trouble>
      ) : (
        <p role="status">{cutText.ready}</p>
      )}
      {kept.length > 0 ? (
        <ul aria-label="Overruled">
          {kept.map(({ key, reason }) => (
            <li key={key}>
              <Row>
                Overruled: {reason}
                <Button
                  $kind="quiet"
                  onPress={() =>
                    edit(
                      [
                        {
                          type: 'patchSurvey',
                          patch: { overruled: kept.filter((each) => each.key !== key) },
                        },
                      ],
                      'done',
                    )
                  }
                >
                  Ask again
                </Button>
              </Row>
            </li>
          ))}
        </ul>
      ) : null}
    </>
  )
}
