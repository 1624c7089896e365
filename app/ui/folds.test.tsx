import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { Fold } from './Fold'
import { WeightSlider } from './WeightSlider'

test('what is folded away is not worked out until it is opened', async () => {
  const worked = jest.fn()
  function Costly() {
    worked()
    return <p>costly</p>
  }
  const toggled = jest.fn()
  render(
    <Fold title="Heights" onToggle={toggled}>
      <Costly />
    </Fold>,
  )
  expect(worked).not.toHaveBeenCalled()
  await userEvent.click(screen.getByRole('button', { name: 'Heights' }))
  expect(screen.getByText('costly')).toBeTruthy()
  expect(toggled).toHaveBeenCalledWith(true)
})

test('a weight is moved by the keyboard, and told when the hand lets go', async () => {
  const moved = jest.fn()
  const done = jest.fn()
  render(<WeightSlider label="few boards" value={3} onChange={moved} onChangeEnd={done} />)
  await userEvent.tab()
  await userEvent.keyboard('{ArrowRight}')
  expect(moved).toHaveBeenCalledWith(4)
  expect(done).toHaveBeenCalledWith(4)
})
