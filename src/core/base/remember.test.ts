import { remembering } from './remember';

describe('remembering', () => {
  const counting = (most?: number) => {
    const asked: string[] = [];
    const upper = remembering(({ word }: { readonly word: string }) => {
      asked.push(word);
      return word === '' ? null : word.toUpperCase();
    }, most);
    return { asked, ask: (word: string) => upper({ word }) };
  };

  it('computes the same question once, null answers too', () => {
    const { asked, ask } = counting();
    expect([ask('a'), ask('b'), ask('a'), ask(''), ask('')]).toEqual(['A', 'B', 'A', null, null]);
    expect(asked).toEqual(['a', 'b', '']);
  });

  it('forgets what was not asked for longest', () => {
    const { asked, ask } = counting(2);
    for (const word of ['a', 'b', 'a', 'c', 'a', 'b']) ask(word);
    expect(asked).toEqual(['a', 'b', 'c', 'b']);
  });

  it('remembers no failure', () => {
    let fails = true;
    const ask = remembering(() => {
      if (fails) throw new Error('Not yet.');
      return 1;
    });
    expect(() => ask()).toThrow('Not yet.');
    fails = false;
    expect(ask()).toBe(1);
  });
});
