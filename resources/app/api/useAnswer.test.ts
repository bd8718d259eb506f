import { flushPromises } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { effectScope, nextTick, ref } from 'vue'
import { useAnswer } from './useAnswer'

describe('an answer', () => {
  const open = () => {
    const about = ref('')
    const replies: Record<string, { take: (value: string) => void; refuse: (why: unknown) => void }> = {}
    const scope = effectScope()
    const said = scope.run(() =>
      useAnswer([about], () =>
        about.value === ''
          ? null
          : new Promise<string>((take, refuse) => {
              replies[about.value] = { take, refuse }
            }),
      ),
    )!
    return { about, replies, ...said }
  }

  it('is taken for the last question only, however late an older one comes', async () => {
    const { about, replies, answer, waiting } = open()
    about.value = 'first'
    await nextTick()
    about.value = 'second'
    await nextTick()
    replies.second!.take('two')
    await flushPromises()
    expect([answer.value, waiting.value]).toEqual(['two', false])
    replies.first!.take('one')
    await flushPromises()
    expect(answer.value).toBe('two')
  })

  it('stays in sight while the next one is waited for, marked as such', async () => {
    const { about, replies, answer, waiting } = open()
    about.value = 'first'
    await nextTick()
    replies.first!.take('one')
    await flushPromises()
    about.value = 'second'
    await nextTick()
    expect([answer.value, waiting.value]).toEqual(['one', true])
  })

  it('says why it was refused, and is gone where nothing is asked', async () => {
    const { about, replies, answer, trouble, waiting } = open()
    about.value = 'first'
    await nextTick()
    replies.first!.refuse(new Error('Too narrow.'))
    await flushPromises()
    expect([answer.value, trouble.value, waiting.value]).toEqual([null, 'Too narrow.', false])
    about.value = ''
    await nextTick()
    expect([answer.value, trouble.value, waiting.value]).toEqual([null, '', false])
  })

  it('of a question that was withdrawn is not taken', async () => {
    const { about, replies, answer, waiting } = open()
    about.value = 'first'
    await nextTick()
    about.value = ''
    await nextTick()
    replies.first!.refuse('late')
    await flushPromises()
    expect([answer.value, waiting.value]).toEqual([null, false])
  })
})
