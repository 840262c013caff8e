# The places at which ICU breaks each of a list of texts, as JSON, in UTF-16 units.
import json, sys, icu

for text in json.load(sys.stdin):
    breaks = icu.BreakIterator.createLineInstance(icu.Locale("en"))
    breaks.setText(icu.UnicodeString(text))
    print(json.dumps(list(breaks)))
