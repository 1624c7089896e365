import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { LIMITS } from '~/model'
import { AddButton } from './AddButton'

test('adds as long as there is room; full, it says so and does nothing', async () => {
  let added = 0
  const { rerender } = render(
    <AddButton what="things" has={LIMITS.things - 1} onPress={() => (added += 1)}>
      Put it on the wall
    </AddButton>,
  )
  await userEvent.click(screen.getByRole('button'))
  expect(added).toBe(1)
  expect(screen.queryByText(/is the most/)).toBeNull()
  rerender(
    <AddButton what="things" has={LIMITS.things} onPress={() => (added += 1)}>
      Put it on the wall
    </AddButton>,
  )
  await userEvent.click(screen.getByRole('button'))
  expect(added).toBe(1)
  expect(screen.getByText(/100 is the most things a wall holds/)).toBeTruthy()
})
