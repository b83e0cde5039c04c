"""The page that a telephone sees: one button, large type, what has arrived and what was refused."""

from html import escape

# By language: title, button, what is happening, arrived, refused, could not be sent.
_WORDS = {
    "en": ("Send to Nomos", "Take or choose pictures", "Sending", "arrived", "refused",
           "could not be sent. Are both on one network?"),
    "de": ("An Nomos senden", "Aufnehmen oder auswählen", "Wird gesendet", "angekommen", "abgelehnt",
           "konnte nicht gesendet werden. Sind beide im selben Netz?"),
}  # fmt: skip

_PAGE = """<!doctype html>
<html lang="{language}"><head><meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>{title}</title>
<style>
body {{ font: 20px/1.4 sans-serif; margin: 0; padding: 24px; color: #1d1d1b; background: #f7f5ef; }}
h1 {{ font-size: 28px; margin: 8px 0 24px; }}
label {{ display: block; padding: 28px 16px; background: #1c4f7c; color: #fff; text-align: center;
  font-size: 24px; border-radius: 10px; }}
label:focus-within {{ outline: 4px solid #c8752d; }}
input {{ position: absolute; opacity: 0; width: 1px; height: 1px; }}
li {{ padding: 12px 0; border-bottom: 1px solid #c9c4b6; overflow-wrap: anywhere; }}
ul {{ list-style: none; padding: 0; margin: 24px 0; }}
.no {{ color: #9c2a1c; }}
@media (prefers-color-scheme: dark) {{ body {{ background: #1d1d1b; color: #f1eee6; }}
  li {{ border-color: #55524a; }} .no {{ color: #ff9d8a; }} }}
</style></head><body>
<h1>{title}</h1>
<label>{choose}<input type="file" id="pictures" accept="image/*" multiple></label>
<ul id="list" aria-live="polite"></ul>
<script>
const list = document.getElementById("list");
document.getElementById("pictures").addEventListener("change", async (event) => {{
  for (const file of event.target.files) {{
    const row = document.createElement("li");
    row.textContent = file.name + ": {sending}…";
    list.prepend(row);
    try {{
      const answer = await fetch("{where}", {{
        method: "POST", body: file, headers: {{ "X-Name": encodeURIComponent(file.name) }},
      }});
      const said = await answer.text();
      row.textContent = file.name + ": " + (answer.ok ? "{arrived}" : "{refused}. " + said);
      row.className = answer.ok ? "" : "no";
    }} catch (problem) {{
      row.textContent = file.name + " {failed}";
      row.className = "no";
    }}
  }}
  event.target.value = "";
}});
</script></body></html>
"""


def language_of(accepted: str) -> str:
    """The first language asked for that the page speaks (RFC 9110, Accept-Language), English where it speaks none."""
    asked = [part.split(";")[0].strip().lower()[:2] for part in accepted.split(",")]
    return next((each for each in asked if each in _WORDS), "en")


def page(where: str, accepted: str) -> bytes:
    """The page as bytes.

    Parameters
    ----------
    where : the path that pictures are sent to.
    accepted : the languages that the telephone asks for (RFC 9110, Accept-Language).
    """
    language = language_of(accepted)
    title, choose, sending, arrived, refused, failed = (escape(word) for word in _WORDS[language])
    return _PAGE.format(
        language=language, title=title, choose=choose, sending=sending, arrived=arrived, refused=refused,
        failed=failed, where=where,
    ).encode()  # fmt: skip
