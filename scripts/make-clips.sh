#!/bin/sh
# Makes the spoken clips in public/calls anew, with Debian's espeak-ng and sox. They are made once and committed:
# neither the demo nor the tests need these programs. Silence is cut off, so that a clip starts when its call is due.
set -eu
cd "$(dirname "$0")/../public/calls"
for word in left right forehand backhand front back near side far hit catch pressed even \
  'red hand' 'blue hand' 'red foot' 'blue foot' 'let it through' one two three four five six \
  corner wide middle pivot net short deep drive push loop block flick volley slice smash serve \
  topspin backspin high fast \
  'last ten seconds' ready rest time; do
  name=$(printf '%s' "$word" | tr ' ' '-')
  espeak-ng -v en-gb -s 165 -p 45 -a 180 -w raw.wav "$word"
  sox raw.wav -r 16000 -b 16 -c 1 "$name.wav" \
    silence 1 0.001 0.6% reverse silence 1 0.001 0.6% fade t 0.01 reverse fade t 0.003 norm -4
done
rm raw.wav
