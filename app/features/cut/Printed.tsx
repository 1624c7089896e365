import { Printer } from 'lucide-react'
import { styled } from 'styled-components'
import { Column } from '~/editor/Workbench'
import { Button } from '~/ui/Button'
import { Row, Spread } from '~/ui/page'

const Paper = styled(Column)`
  @media print {
    overflow: visible;
    padding: 0;
    & [data-unprinted] {
      display: none;
    }
  }
`

/** A page that is made to be printed, Letter or A4: its buttons and the page's frame stay on the screen. */
export function Printed({
  title,
  controls,
  children,
}: {
  title: string
  controls: React.ReactNode
  children: React.ReactNode
}) {
  return (
    <Paper aria-label={title}>
      <Spread>
        <h1>{title}</h1>
        <Row data-unprinted>
          {controls}
          <Button $kind="main" onPress={() => window.print()}>
            <Printer size={18} aria-hidden /> Print
          </Button>
        </Row>
      </Spread>
      {children}
    </Paper>
  )
}
