<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="de" sourcelanguage="en">
 <context>
  <name>nomos</name>
  <message>
   <source>{path} is no ordinary file: choose another name.</source>
   <translation>{path} ist keine gewöhnliche Datei: einen anderen Namen wählen.</translation>
  </message>
  <message>
   <source>{path} may not be written over: choose another name, or allow writing to it.</source>
   <translation>{path} darf nicht überschrieben werden: einen anderen Namen wählen oder das Schreiben erlauben.</translation>
  </message>
  <message>
   <source>{path} could not be written ({what}); what was there before is untouched.</source>
   <translation>{path} konnte nicht geschrieben werden ({what}); was vorher da war, ist unversehrt.</translation>
  </message>
  <message>
   <source>essential</source>
   <translation>wesentlich</translation>
  </message>
  <message>
   <source>usual</source>
   <translation>üblich</translation>
  </message>
  <message>
   <source>further</source>
   <translation>weitere</translation>
  </message>
  <message>
   <source>“{where}” cannot be {shown}: choose {range}.</source>
   <translation>„{where}“ kann nicht {shown} sein: {range} wählen.</translation>
  </message>
  <message>
   <source>{label} of {name}</source>
   <translation>{label} von {name}</translation>
  </message>
  <message>
   <source>“{where}” cannot be {value}: choose one of {words}.</source>
   <translation>„{where}“ kann nicht {value} sein: eines von diesen wählen: {words}.</translation>
  </message>
  <message>
   <source>{least} to {most} {unit}</source>
   <translation>{least} bis {most} {unit}</translation>
  </message>
  <message>
   <source>'{said}' is not a figure.</source>
   <translation>'{said}' ist keine Zahl.</translation>
  </message>
  <message>
   <source>{lock_file} is no lock of Nomos and was left as it is: move it away.</source>
   <translation>{lock_file} ist keine Sperre von Nomos und blieb, wie sie ist: aus dem Weg legen.</translation>
  </message>
  <message>
   <source> on {machine}</source>
   <translation> auf {machine}</translation>
  </message>
  <message>
   <source>{name} is open in a window of {holder}: close it there, or write another file.</source>
   <translation>{name} ist in einem Fenster von {holder} offen: dort schließen oder eine andere Datei schreiben.</translation>
  </message>
  <message>
   <source> since {since}</source>
   <translation> seit {since}</translation>
  </message>
  <message>
   <source>Mon</source>
   <translation>Mo</translation>
  </message>
  <message>
   <source>Tue</source>
   <translation>Di</translation>
  </message>
  <message>
   <source>Wed</source>
   <translation>Mi</translation>
  </message>
  <message>
   <source>Thu</source>
   <translation>Do</translation>
  </message>
  <message>
   <source>Fri</source>
   <translation>Fr</translation>
  </message>
  <message>
   <source>Sat</source>
   <translation>Sa</translation>
  </message>
  <message>
   <source>Sun</source>
   <translation>So</translation>
  </message>
  <message>
   <source>Jan</source>
   <translation>Jan</translation>
  </message>
  <message>
   <source>Feb</source>
   <translation>Feb</translation>
  </message>
  <message>
   <source>Mar</source>
   <translation>Mär</translation>
  </message>
  <message>
   <source>Apr</source>
   <translation>Apr</translation>
  </message>
  <message>
   <source>May</source>
   <translation>Mai</translation>
  </message>
  <message>
   <source>Jun</source>
   <translation>Jun</translation>
  </message>
  <message>
   <source>Jul</source>
   <translation>Jul</translation>
  </message>
  <message>
   <source>Aug</source>
   <translation>Aug</translation>
  </message>
  <message>
   <source>Sep</source>
   <translation>Sep</translation>
  </message>
  <message>
   <source>Oct</source>
   <translation>Okt</translation>
  </message>
  <message>
   <source>Nov</source>
   <translation>Nov</translation>
  </message>
  <message>
   <source>Dec</source>
   <translation>Dez</translation>
  </message>
  <message>
   <source>{path} is a folder: choose a file in it.</source>
   <translation>{path} ist ein Ordner: eine Datei darin wählen.</translation>
  </message>
  <message>
   <source>{path} is no ordinary file and is not read.</source>
   <translation>{path} ist keine gewöhnliche Datei und wird nicht gelesen.</translation>
  </message>
  <message>
   <source>{path} is larger than {most_bytes} MB and is not read.</source>
   <translation>{path} ist größer als {most_bytes} MB und wird nicht gelesen.</translation>
  </message>
  <message>
   <source>{path} cannot be read ({what}).</source>
   <translation>{path} lässt sich nicht lesen ({what}).</translation>
  </message>
  <message>
   <source>A name with a null character is no file.</source>
   <translation>Ein Name mit einem Nullzeichen ist keine Datei.</translation>
  </message>
  <message>
   <source>There is not enough memory to read {path}.</source>
   <translation>Der Speicher reicht nicht, um {path} zu lesen.</translation>
  </message>
  <message>
   <source>{join}; and {most_listed} more</source>
   <translation>{join}; und {most_listed} weitere</translation>
  </message>
  <message>
   <source>'{said}' is not a length; write it as 12.5, 12.5 mm or 0.5 in.</source>
   <translation>'{said}' ist keine Länge; schreiben: 12,5 oder 12,5 mm oder 0,5 in.</translation>
  </message>
  <message>
   <source>'{said}' is not a size; write it as 180x240 (mm) or 7x9.5in.</source>
   <translation>'{said}' ist keine Größe; schreiben: 180x240 (mm) oder 7x9,5in.</translation>
  </message>
  <message>
   <source> to </source>
   <translation> bis </translation>
  </message>
  <message>
   <source>{width_mm:g} × {height_mm:g} mm cannot be printed: each side must be {smallest_mm:g} to {largest_mm:g} mm.</source>
   <translation>{width_mm:g} × {height_mm:g} mm lassen sich nicht drucken: jede Seite muss {smallest_mm:g} bis {largest_mm:g} mm messen.</translation>
  </message>
  <message>
   <source>Block and ground must have the same size.</source>
   <translation>Stock und Grund müssen gleich groß sein.</translation>
  </message>
  <message>
   <source>knife</source>
   <translation>Messer</translation>
  </message>
  <message>
   <source>v</source>
   <translation>v</translation>
  </message>
  <message>
   <source>u</source>
   <translation>u</translation>
  </message>
  <message>
   <source>flat</source>
   <translation>flach</translation>
  </message>
  <message>
   <source>pen</source>
   <translation>Stift</translation>
  </message>
  <message>
   <source>Cut the place out square, glue in a plug of the same wood with its grain, plane it level, cut it anew.</source>
   <translation>Die Stelle rechteckig ausstechen, einen Pfropf aus demselben Holz in Faserrichtung einleimen, bündig hobeln, neu schneiden.</translation>
  </message>
  <message>
   <source>Glue the chip back, or fill the place with a hard filler and cut it anew: solids hold, fine lines do not.</source>
   <translation>Den Span wieder ankleben oder die Stelle mit hartem Spachtel füllen und neu schneiden: Flächen halten, feine Linien nicht.</translation>
  </message>
  <message>
   <source>V tool</source>
   <translation>Geißfuß</translation>
  </message>
  <message>
   <source>U gouge</source>
   <translation>Hohleisen</translation>
  </message>
  <message>
   <source>flat gouge</source>
   <translation>Flacheisen</translation>
  </message>
  <message>
   <source>lino</source>
   <translation>Linol</translation>
  </message>
  <message>
   <source>soft wood</source>
   <translation>Weichholz</translation>
  </message>
  <message>
   <source>hard wood</source>
   <translation>Hartholz</translation>
  </message>
  <message>
   <source>end grain</source>
   <translation>Hirnholz</translation>
  </message>
  <message>
   <source>foam</source>
   <translation>Schaumplatte</translation>
  </message>
  <message>
   <source>pressed foam</source>
   <translation>gedrückte Schaumplatte</translation>
  </message>
  <message>
   <source>The tools need a knife or a V tool for the outlines.</source>
   <translation>Zu den Werkzeugen gehört ein Messer oder ein Geißfuß für die Umrisse.</translation>
  </message>
  <message>
   <source>The tools need at least one gouge to clear ground with.</source>
   <translation>Zu den Werkzeugen gehört mindestens ein Hohleisen zum Ausräumen.</translation>
  </message>
  <message>
   <source>Up to twelve tools of {range} can be set.</source>
   <translation>Bis zu zwölf Werkzeuge von {range} sind möglich.</translation>
  </message>
  <message>
   <source>There are too few boards at hand for all blocks: add one.</source>
   <translation>Es sind zu wenige Platten für alle Stöcke da: eine hinzufügen.</translation>
  </message>
  <message>
   <source>A board, width</source>
   <translation>Eine Platte, Breite</translation>
  </message>
  <message>
   <source>Width of a board at hand.</source>
   <translation>Breite einer vorhandenen Platte.</translation>
  </message>
  <message>
   <source>Height</source>
   <translation>Höhe</translation>
  </message>
  <message>
   <source>Height of a board at hand.</source>
   <translation>Höhe einer vorhandenen Platte.</translation>
  </message>
  <message>
   <source>How many</source>
   <translation>Wie viele</translation>
  </message>
  <message>
   <source>So many boards of this size are at hand.</source>
   <translation>So viele Platten dieser Größe sind da.</translation>
  </message>
  <message>
   <source>What one costs</source>
   <translation>Was eine kostet</translation>
  </message>
  <message>
   <source>Price of one board; the cuts are planned for the least of it.</source>
   <translation>Preis einer Platte; die Zuschnitte werden möglichst billig geplant.</translation>
  </message>
  <message>
   <source>{name}, {width}, goes on none of the boards at hand: add a larger one.</source>
   <translation>{name}, {width}, passt auf keine der vorhandenen Platten: eine größere hinzufügen.</translation>
  </message>
  <message>
   <source>turned tracing</source>
   <translation>gewendete Pause</translation>
  </message>
  <message>
   <source>direct tracing</source>
   <translation>direkte Pause</translation>
  </message>
  <message>
   <source>pasted key</source>
   <translation>aufgeklebter Liniendruck</translation>
  </message>
  <message>
   <source>toner</source>
   <translation>Toner</translation>
  </message>
  <message>
   <source>Solvents: ventilate, wear gloves, and put oily rags in a closed metal bin, they can heat by themselves. The product's safety sheet, local rules and trained people come first.</source>
   <translation>Lösungsmittel: lüften, Handschuhe tragen, ölige Lappen in einen geschlossenen Metallbehälter geben, sie können sich selbst erhitzen. Das Sicherheitsdatenblatt des Produkts, örtliche Vorschriften und ausgebildete Leute gehen vor.</translation>
  </message>
  <message>
   <source>Eye protection with mallet and chisels, and whenever chips fly.</source>
   <translation>Augenschutz bei Klüpfel und Eisen und immer, wenn Späne fliegen.</translation>
  </message>
  <message>
   <source>Windows and pieces: a cutting mat below, a guarded knife against a steel edge, never towards the hand.</source>
   <translation>Fenster und Teile: Schneidmatte unterlegen, Messer mit Handschutz an einer Stahlkante führen, nie auf die Hand zu.</translation>
  </message>
  <message>
   <source>Carve away from the body, the other hand behind the edge, the block on a bench hook or clamped. Sharp tools are safer than blunt ones. Trained people and local rules come first.</source>
   <translation>Vom Körper weg schneiden, die andere Hand hinter der Schneide, den Stock am Bankhaken oder festgespannt. Scharfe Werkzeuge sind sicherer als stumpfe. Ausgebildete Leute und örtliche Vorschriften gehen vor.</translation>
  </message>
  <message>
   <source>Tracing turned face down</source>
   <translation>Pause, gewendet</translation>
  </message>
  <message>
   <source>Traced straight through</source>
   <translation>Gerade durchgepaust</translation>
  </message>
  <message>
   <source>Key impression pasted face down</source>
   <translation>Liniendruck, aufgeklebt</translation>
  </message>
  <message>
   <source>Laser print, face down</source>
   <translation>Laserdruck, gewendet</translation>
  </message>
  <message>
   <source>Trace it in soft pencil right-reading, turn it face down on the block and rub it off.</source>
   <translation>Seitenrichtig mit weichem Bleistift pausen, mit der Bildseite nach unten auf den Stock legen und abreiben.</translation>
  </message>
  <message>
   <source>Turning it over mirrors it: writing on the block reads backwards, as it must.</source>
   <translation>Das Wenden spiegelt: Schrift steht auf dem Stock rückwärts, wie es sein muss.</translation>
  </message>
  <message>
   <source>Lay transfer paper on the block, this sheet face up on it, and draw over every line.</source>
   <translation>Durchschreibpapier auf den Stock legen, diesen Bogen mit der Bildseite nach oben darauf, und jede Linie nachziehen.</translation>
  </message>
  <message>
   <source>The sheet is mirrored already: what you see is what you cut.</source>
   <translation>Der Bogen ist schon gespiegelt: geschnitten wird, was zu sehen ist.</translation>
  </message>
  <message>
   <source>Print the finished key on thin paper, paste it face down on the fresh block, and rub the back away.</source>
   <translation>Den fertigen Linienstock auf dünnes Papier drucken, mit der Bildseite nach unten auf den frischen Stock kleben und den Rücken abreiben.</translation>
  </message>
  <message>
   <source>It carries the key's cut lines exactly, mirrored by being face down.</source>
   <translation>So kommen die geschnittenen Linien genau herüber, gespiegelt durch das Wenden.</translation>
  </message>
  <message>
   <source>Print it on a laser printer, lay it face down, and bring the toner off with heat or solvent.</source>
   <translation>Mit einem Laserdrucker drucken, mit der Bildseite nach unten auflegen und den Toner mit Wärme oder Lösungsmittel übertragen.</translation>
  </message>
  <message>
   <source>Face down it mirrors itself: writing on the block reads backwards, as it must.</source>
   <translation>Mit der Bildseite nach unten spiegelt es sich selbst: Schrift steht auf dem Stock rückwärts, wie es sein muss.</translation>
  </message>
  <message>
   <source>word</source>
   <translation>Wort</translation>
  </message>
  <message>
   <source>spectrum</source>
   <translation>Spektrum</translation>
  </message>
  <message>
   <source>one reading</source>
   <translation>eine Messung</translation>
  </message>
  <message>
   <source>recipe</source>
   <translation>Rezept</translation>
  </message>
  <message>
   <source>proof</source>
   <translation>Probedruck</translation>
  </message>
  <message>
   <source>chart</source>
   <translation>Farbtafel</translation>
  </message>
  <message>
   <source>readings</source>
   <translation>Messungen</translation>
  </message>
  <message>
   <source>transparent</source>
   <translation>durchscheinend</translation>
  </message>
  <message>
   <source>semi</source>
   <translation>halbdeckend</translation>
  </message>
  <message>
   <source>opaque</source>
   <translation>deckend</translation>
  </message>
  <message>
   <source>No ink of that opacity shows this colour; choose a less saturated one.</source>
   <translation>Keine Druckfarbe dieser Deckkraft zeigt diese Farbe; eine weniger gesättigte wählen.</translation>
  </message>
  <message>
   <source>not a colour that an ink of that opacity can have on this paper</source>
   <translation>keine Farbe, die eine Druckfarbe dieser Deckkraft auf diesem Papier haben kann</translation>
  </message>
  <message>
   <source>coated</source>
   <translation>gestrichen</translation>
  </message>
  <message>
   <source>smooth</source>
   <translation>glatt</translation>
  </message>
  <message>
   <source>absorbent</source>
   <translation>saugend</translation>
  </message>
  <message>
   <source>newsprint</source>
   <translation>Zeitungspapier</translation>
  </message>
  <message>
   <source>Since then paper without a coating gives back more light at its surface, and black less.</source>
   <translation>Seither gibt Papier ohne Strich an seiner Oberfläche mehr Licht zurück und Schwarz weniger.</translation>
  </message>
  <message>
   <source>Since then an ink known by its colour is taken for the likeliest pigment of that colour, and inks that cover keep their hue when they are thinned.</source>
   <translation>Seitdem gilt eine nach ihrer Farbe bekannte Druckfarbe als das wahrscheinlichste Pigment dieser Farbe, und deckende Farben behalten verdünnt ihren Farbton.</translation>
  </message>
  <message>
   <source>D50</source>
   <translation>D50</translation>
  </message>
  <message>
   <source>D65</source>
   <translation>D65</translation>
  </message>
  <message>
   <source>A</source>
   <translation>A</translation>
  </message>
  <message>
   <source>LED-B1</source>
   <translation>LED-B1</translation>
  </message>
  <message>
   <source>normal</source>
   <translation>normal</translation>
  </message>
  <message>
   <source>protan</source>
   <translation>Rotschwäche</translation>
  </message>
  <message>
   <source>deutan</source>
   <translation>Grünschwäche</translation>
  </message>
  <message>
   <source>tritan</source>
   <translation>Blauschwäche</translation>
  </message>
  <message>
   <source>grey</source>
   <translation>grau</translation>
  </message>
  <message>
   <source>viewing booth, D50</source>
   <translation>Abmusterungslicht, D50</translation>
  </message>
  <message>
   <source>north daylight, D65</source>
   <translation>Nordlicht, D65</translation>
  </message>
  <message>
   <source>filament lamp, A</source>
   <translation>Glühlampe, A</translation>
  </message>
  <message>
   <source>warm LED, 2700 K</source>
   <translation>warme LED, 2700 K</translation>
  </message>
  <message>
   <source>best match</source>
   <translation>beste Übereinstimmung</translation>
  </message>
  <message>
   <source>fewest inks</source>
   <translation>wenigste Farben</translation>
  </message>
  <message>
   <source>cheapest</source>
   <translation>am billigsten</translation>
  </message>
  <message>
   <source>most transparent</source>
   <translation>am durchscheinendsten</translation>
  </message>
  <message>
   <source>working recipes out</source>
   <translation>Rezepte werden ausgerechnet</translation>
  </message>
  <message>
   <source>trying mixtures</source>
   <translation>Mischungen werden probiert</translation>
  </message>
  <message>
   <source>Light {colour}</source>
   <translation>{colour}, hell</translation>
  </message>
  <message>
   <source>Dark {colour}</source>
   <translation>{colour}, dunkel</translation>
  </message>
  <message>
   <source>Pale {colour}</source>
   <translation>{colour}, blass</translation>
  </message>
  <message>
   <source>Deep {colour}</source>
   <translation>{colour}, tief</translation>
  </message>
  <message>
   <source>yellow</source>
   <translation>Gelb</translation>
  </message>
  <message>
   <source>orange</source>
   <translation>Orange</translation>
  </message>
  <message>
   <source>red</source>
   <translation>Rot</translation>
  </message>
  <message>
   <source>magenta</source>
   <translation>Magenta</translation>
  </message>
  <message>
   <source>violet</source>
   <translation>Violett</translation>
  </message>
  <message>
   <source>blue</source>
   <translation>Blau</translation>
  </message>
  <message>
   <source>cyan</source>
   <translation>Cyan</translation>
  </message>
  <message>
   <source>green</source>
   <translation>grün</translation>
  </message>
  <message>
   <source>oxide green</source>
   <translation>Oxidgrün</translation>
  </message>
  <message>
   <source>earth</source>
   <translation>Erde</translation>
  </message>
  <message>
   <source>black</source>
   <translation>schwarz</translation>
  </message>
  <message>
   <source>white</source>
   <translation>weiß</translation>
  </message>
  <message>
   <source>mixed</source>
   <translation>gemischt</translation>
  </message>
  <message>
   <source>a yellow (arylide, cadmium)</source>
   <translation>ein Gelb (Arylid, Cadmium)</translation>
  </message>
  <message>
   <source>an orange (pyrazolone, cadmium)</source>
   <translation>ein Orange (Pyrazolon, Cadmium)</translation>
  </message>
  <message>
   <source>a red (naphthol, cadmium)</source>
   <translation>ein Rot (Naphthol, Cadmium)</translation>
  </message>
  <message>
   <source>a magenta (quinacridone, rubine)</source>
   <translation>ein Magenta (Chinacridon, Rubin)</translation>
  </message>
  <message>
   <source>a violet (dioxazine)</source>
   <translation>ein Violett (Dioxazin)</translation>
  </message>
  <message>
   <source>an ultramarine or cobalt blue</source>
   <translation>ein Ultramarin oder Kobaltblau</translation>
  </message>
  <message>
   <source>a phthalo blue</source>
   <translation>ein Phthaloblau</translation>
  </message>
  <message>
   <source>a phthalo green</source>
   <translation>ein Phthalogrün</translation>
  </message>
  <message>
   <source>a chrome oxide or viridian green</source>
   <translation>ein Chromoxid- oder Smaragdgrün</translation>
  </message>
  <message>
   <source>an earth (oxide, ochre, umber)</source>
   <translation>eine Erde (Oxid, Ocker, Umbra)</translation>
  </message>
  <message>
   <source>a black</source>
   <translation>ein Schwarz</translation>
  </message>
  <message>
   <source>a white</source>
   <translation>ein Weiß</translation>
  </message>
  <message>
   <source>a mixture of two</source>
   <translation>eine Mischung aus zweien</translation>
  </message>
  <message>
   <source>lab({said}) is not a colour that paper or ink can have; choose a less saturated one.</source>
   <translation>lab({said}) ist keine Farbe, die Papier oder Druckfarbe haben kann; eine weniger gesättigte wählen.</translation>
  </message>
  <message>
   <source>L* must be between 0 and 100, but is {lightness:g}.</source>
   <translation>L* muss zwischen 0 und 100 liegen, ist aber {lightness:g}.</translation>
  </message>
  <message>
   <source>'{said}' is not a colour; write it as lab(62 30 38) or #c4683f.</source>
   <translation>'{said}' ist keine Farbe; schreiben: lab(62 30 38) oder #c4683f.</translation>
  </message>
  <message>
   <source>In '{said}' the strength must be a number from 0 to 1.</source>
   <translation>In '{said}' muss die Stärke eine Zahl von 0 bis 1 sein.</translation>
  </message>
  <message>
   <source>In '{said}' the lightness L must be between 0 and 100.</source>
   <translation>In '{said}' muss die Helligkeit L zwischen 0 und 100 liegen.</translation>
  </message>
  <message>
   <source>In '{said}' the opacity must be transparent, semi or opaque.</source>
   <translation>In '{said}' muss die Deckkraft transparent, semi oder opaque sein.</translation>
  </message>
  <message>
   <source>In '{said}' only opacity= and strength= may follow the colour, not '{option}'.</source>
   <translation>In '{said}' dürfen nur opacity= und strength= auf die Farbe folgen, nicht '{option}'.</translation>
  </message>
  <message>
   <source>light</source>
   <translation>wenig</translation>
  </message>
  <message>
   <source>heavy</source>
   <translation>viel</translation>
  </message>
  <message>
   <source>rough</source>
   <translation>rau</translation>
  </message>
  <message>
   <source>runs off the knife like oil</source>
   <translation>läuft wie Öl vom Messer</translation>
  </message>
  <message>
   <source>runs off in a stream</source>
   <translation>läuft in einem Strahl ab</translation>
  </message>
  <message>
   <source>runs off in a thread that breaks late</source>
   <translation>läuft in einem Faden ab, der spät reißt</translation>
  </message>
  <message>
   <source>drips off slowly, drops flatten at once</source>
   <translation>tropft langsam, Tropfen verlaufen sofort</translation>
  </message>
  <message>
   <source>drips off in lumps that flatten</source>
   <translation>fällt in Klumpen, die verlaufen</translation>
  </message>
  <message>
   <source>hangs from the knife, falls when it is shaken</source>
   <translation>hängt am Messer, fällt beim Schütteln</translation>
  </message>
  <message>
   <source>stands as a soft peak that leans over</source>
   <translation>steht als weiche Spitze, die sich neigt</translation>
  </message>
  <message>
   <source>stands as a peak</source>
   <translation>steht als Spitze</translation>
  </message>
  <message>
   <source>pulls short threads, the peak stays sharp</source>
   <translation>zieht kurze Fäden, die Spitze bleibt scharf</translation>
  </message>
  <message>
   <source>pulls long threads, the knife is hard to lift</source>
   <translation>zieht lange Fäden, das Messer lässt sich schwer heben</translation>
  </message>
  <message>
   <source>drags the slab with it</source>
   <translation>nimmt die Farbplatte mit</translation>
  </message>
  <message>
   <source>oxygen</source>
   <translation>Sauerstoff</translation>
  </message>
  <message>
   <source>water</source>
   <translation>Wasser</translation>
  </message>
  <message>
   <source>solvent</source>
   <translation>Lösemittel</translation>
  </message>
  <message>
   <source>oil</source>
   <translation>Öl</translation>
  </message>
  <message>
   <source>water-washable oil</source>
   <translation>wasserwaschbares Öl</translation>
  </message>
  <message>
   <source>water-based</source>
   <translation>auf Wasserbasis</translation>
  </message>
  <message>
   <source>water-based with paste</source>
   <translation>auf Wasserbasis mit Kleister</translation>
  </message>
  <message>
   <source>acrylic</source>
   <translation>Acryl</translation>
  </message>
  <message>
   <source>Acrylic dries within minutes: mist the slab, wash block and roller before it sets.</source>
   <translation>Acryl trocknet in Minuten: Platte besprühen, Druckstock und Walze waschen, bevor es anzieht.</translation>
  </message>
  <message>
   <source>clearing specks</source>
   <translation>Flecken werden entfernt</translation>
  </message>
  <message>
   <source>filling specks</source>
   <translation>Löcher werden gefüllt</translation>
  </message>
  <message>
   <source>smoothing outlines</source>
   <translation>Umrisse werden geglättet</translation>
  </message>
  <message>
   <source>{name} holds no merged picture that can be read; export it as a PNG.</source>
   <translation>{name} enthält kein lesbares Gesamtbild; als PNG exportieren.</translation>
  </message>
  <message>
   <source>{name} is a PDF that cannot be read; export its page as a picture.</source>
   <translation>{name} ist ein PDF, das sich nicht lesen lässt; die Seite als Bild exportieren.</translation>
  </message>
  <message>
   <source>keep</source>
   <translation>behalten</translation>
  </message>
  <message>
   <source>same</source>
   <translation>gleich</translation>
  </message>
  <message>
   <source>another</source>
   <translation>andere</translation>
  </message>
  <message>
   <source>paper</source>
   <translation>Papier</translation>
  </message>
  <message>
   <source>line</source>
   <translation>Linie</translation>
  </message>
  <message>
   <source>no line</source>
   <translation>keine Linie</translation>
  </message>
  <message>
   <source>fill</source>
   <translation>füllen</translation>
  </message>
  <message>
   <source>brush</source>
   <translation>Pinsel</translation>
  </message>
  <message>
   <source>drop faint</source>
   <translation>Blasses weglassen</translation>
  </message>
  <message>
   <source>A colour pointed out lies outside the picture now.</source>
   <translation>Eine gezeigte Farbe liegt jetzt außerhalb des Bildes.</translation>
  </message>
  <message>
   <source>A place said to be paper lies outside the picture now.</source>
   <translation>Eine als Papier gezeigte Stelle liegt jetzt außerhalb des Bildes.</translation>
  </message>
  <message>
   <source>A stroke said to be line lies outside the picture now.</source>
   <translation>Ein als Linie gezeigter Strich liegt jetzt außerhalb des Bildes.</translation>
  </message>
  <message>
   <source>A stroke said to be no line lies outside the picture now.</source>
   <translation>Ein Strich, der keine Linie sein soll, liegt jetzt außerhalb des Bildes.</translation>
  </message>
  <message>
   <source>A field filled by hand lies outside the picture now.</source>
   <translation>Eine von Hand gefüllte Fläche liegt jetzt außerhalb des Bildes.</translation>
  </message>
  <message>
   <source>A stroke of the brush lies outside the picture now.</source>
   <translation>Ein Pinselstrich liegt jetzt außerhalb des Bildes.</translation>
  </message>
  <message>
   <source>The corners of {name} lie far outside the picture; set them again.</source>
   <translation>Die Ecken von {name} liegen weit außerhalb des Bildes; neu setzen.</translation>
  </message>
  <message>
   <source>The corners of {name} cross each other or lie on one line; give them as top left, top right, bottom right, bottom left.</source>
   <translation>Die Ecken von {name} überkreuzen sich oder liegen auf einer Linie; angeben als oben links, oben rechts, unten rechts, unten links.</translation>
  </message>
  <message>
   <source>The corners of {name} enclose next to nothing; set them further apart.</source>
   <translation>Die Ecken von {name} umschließen fast nichts; weiter auseinander setzen.</translation>
  </message>
  <message>
   <source>'{name}' is not a paper size; choose one of {paper_sizes_mm}.</source>
   <translation>'{name}' ist kein Papierformat; eines von diesen wählen: {paper_sizes_mm}.</translation>
  </message>
  <message>
   <source>{name} holds {count} {what}: the first is taken.</source>
   <translation>{name} enthält {count} {what}: das erste wird genommen.</translation>
  </message>
  <message>
   <source>{name} is CMYK without a profile: its colours are a rough guess.</source>
   <translation>{name} ist CMYK ohne Profil: seine Farben sind grob geschätzt.</translation>
  </message>
  <message>
   <source>pages</source>
   <translation>Seiten</translation>
  </message>
  <message>
   <source>{name} is not a picture that can be read; save it as PNG, JPEG, TIFF, WebP, HEIC, PDF or SVG, or set the telephone's camera to JPEG.</source>
   <translation>{name} ist kein lesbares Bild; als PNG, JPEG, TIFF, WebP, HEIC, PDF oder SVG speichern oder die Kamera des Telefons auf JPEG stellen.</translation>
  </message>
  <message>
   <source>There is not enough memory to open {name}; save it smaller.</source>
   <translation>Der Speicher reicht nicht, um {name} zu öffnen; kleiner speichern.</translation>
  </message>
  <message>
   <source>{name} is damaged and cannot be read to the end; export or scan it again.</source>
   <translation>{name} ist beschädigt und nicht bis zum Ende lesbar; noch einmal ausgeben oder scannen.</translation>
  </message>
  <message>
   <source>The colour profile inside {name} does not fit the picture and was left out.</source>
   <translation>Das Farbprofil in {name} passt nicht zum Bild und blieb weg.</translation>
  </message>
  <message>
   <source>pictures</source>
   <translation>Bilder</translation>
  </message>
  <message>
   <source>laying colours</source>
   <translation>Farben werden gelegt</translation>
  </message>
  <message>
   <source>drawing fields</source>
   <translation>Flächen werden gezeichnet</translation>
  </message>
  <message>
   <source>drawing</source>
   <translation>Zeichnung</translation>
  </message>
  <message>
   <source>sketch</source>
   <translation>Skizze</translation>
  </message>
  <message>
   <source>tones</source>
   <translation>Tonwerte</translation>
  </message>
  <message>
   <source>This picture lies between a sketch and shaded tones; it was read as tones.</source>
   <translation>Dieses Bild liegt zwischen einer Skizze und schattierten Tönen; es wurde als Töne gelesen.</translation>
  </message>
  <message>
   <source>This picture lies between a sketch and shaded tones; it was read as a sketch.</source>
   <translation>Dieses Bild liegt zwischen einer Skizze und schattierten Tönen; es wurde als Skizze gelesen.</translation>
  </message>
  <message>
   <source>looking at the design</source>
   <translation>Entwurf wird angesehen</translation>
  </message>
  <message>
   <source>{all_of_them}, as in the file.</source>
   <translation>{all_of_them}, wie in der Datei.</translation>
  </message>
  <message>
   <source>A shadow lies over {shadow:.0f} % of the sheet and could not be evened out: what is in it may come out darker. Photograph it again in even light.</source>
   <translation>Ein Schatten liegt über {shadow:.0f} % des Bogens und ließ sich nicht ausgleichen: was darin liegt, kann dunkler herauskommen. Noch einmal in gleichmäßigem Licht fotografieren.</translation>
  </message>
  <message>
   <source>A design can be flattened to {fewest} to {most} colours, not {colours}.</source>
   <translation>Ein Entwurf lässt sich auf {fewest} bis {most} Farben bringen, nicht auf {colours}.</translation>
  </message>
  <message>
   <source>The smallest feature must be {range}, not {smallest_feature_mm}.</source>
   <translation>Die kleinste Einzelheit muss {range} groß sein, nicht {smallest_feature_mm}.</translation>
  </message>
  <message>
   <source>colour</source>
   <translation>Farbe</translation>
  </message>
  <message>
   <source>colours</source>
   <translation>Farben</translation>
  </message>
  <message>
   <source>hand</source>
   <translation>Hand</translation>
  </message>
  <message>
   <source>object</source>
   <translation>Gegenstand</translation>
  </message>
  <message>
   <source>writing</source>
   <translation>Schrift</translation>
  </message>
  <message>
   <source>stain</source>
   <translation>Fleck</translation>
  </message>
  <message>
   <source>a hand</source>
   <translation>eine Hand</translation>
  </message>
  <message>
   <source>something that lies over the edge</source>
   <translation>etwas, das über den Rand liegt</translation>
  </message>
  <message>
   <source>the ring of a cup</source>
   <translation>der Rand einer Tasse</translation>
  </message>
  <message>
   <source>{name} has no pixels; export it again.</source>
   <translation>{name} hat keine Bildpunkte; noch einmal ausgeben.</translation>
  </message>
  <message>
   <source>{name} would unpack to more than {most} million pixels; save it smaller, 300 dpi at the size of the print is enough.</source>
   <translation>{name} würde auf mehr als {most} Millionen Bildpunkte entpackt; kleiner speichern, 300 dpi in Druckgröße genügen.</translation>
  </message>
  <message>
   <source>{name} is damaged; export it again.</source>
   <translation>{name} ist beschädigt; noch einmal ausgeben.</translation>
  </message>
  <message>
   <source>finding fields</source>
   <translation>Flächen werden gesucht</translation>
  </message>
  <message>
   <source>{name} does not say how large it is: taken as {size_text}, to fit {paper} with margins of {paper_margin_mm}. Give its size if it is another.</source>
   <translation>{name} sagt nicht, wie groß es ist: angenommen wird {size_text}, passend auf {paper} mit Rändern von {paper_margin_mm}. Bei anderer Größe diese angeben.</translation>
  </message>
  <message>
   <source>{name} is empty; choose another file.</source>
   <translation>{name} ist leer; eine andere Datei wählen.</translation>
  </message>
  <message>
   <source>The picture has another shape than {size_text}: it is fitted inside as {size_text_2}.</source>
   <translation>Das Bild hat eine andere Form als {size_text}: es wird als {size_text_2} eingepasst.</translation>
  </message>
  <message>
   <source>The picture</source>
   <translation>Das Bild</translation>
  </message>
  <message>
   <source>{labs}: {join}{also}{parts}.</source>
   <translation>{labs}: {join}{also}{parts}.</translation>
  </message>
  <message>
   <source> With one fewer, {small} and {small_2} fall together.</source>
   <translation> Mit einer weniger fallen {small} und {small_2} zusammen.</translation>
  </message>
  <message>
   <source> One more would tell {small} from {small_2}.</source>
   <translation> Eine mehr würde {small} von {small_2} trennen.</translation>
  </message>
  <message>
   <source>area</source>
   <translation>Fläche</translation>
  </message>
  <message>
   <source>areas</source>
   <translation>Flächen</translation>
  </message>
  <message>
   <source>the paper</source>
   <translation>das Papier</translation>
  </message>
  <message>
   <source>the line</source>
   <translation>die Linie</translation>
  </message>
  <message>
   <source> and </source>
   <translation> und </translation>
  </message>
  <message>
   <source>evening out the light</source>
   <translation>Licht wird ausgeglichen</translation>
  </message>
  <message>
   <source>smoothing the grain</source>
   <translation>Korn wird geglättet</translation>
  </message>
  <message>
   <source>{name} has neither a size nor a viewBox; set the page size and export it again.</source>
   <translation>{name} hat weder Größe noch viewBox; Seitengröße setzen und noch einmal ausgeben.</translation>
  </message>
  <message>
   <source>{name} is not an SVG drawing; export it as plain SVG.</source>
   <translation>{name} ist keine SVG-Zeichnung; als einfaches SVG ausgeben.</translation>
  </message>
  <message>
   <source>{name} cannot be drawn; export it as plain SVG, or as a PNG at 300 dpi.</source>
   <translation>{name} lässt sich nicht zeichnen; als einfaches SVG ausgeben oder als PNG mit 300 dpi.</translation>
  </message>
  <message>
   <source>{name} is not a complete SVG drawing; export it again.</source>
   <translation>{name} ist keine vollständige SVG-Zeichnung; noch einmal ausgeben.</translation>
  </message>
  <message>
   <source>A picture inside {name}</source>
   <translation>Ein Bild in {name}</translation>
  </message>
  <message>
   <source>{name} takes more than {seconds} s to draw; simplify it, or export a PNG.</source>
   <translation>{name} braucht mehr als {seconds} s zum Zeichnen; vereinfachen oder ein PNG ausgeben.</translation>
  </message>
  <message>
   <source>{name} shows pictures that are not inside it as PNG or JPEG; embed them and export it again.</source>
   <translation>{name} zeigt Bilder, die nicht als PNG oder JPEG darin liegen; einbetten und noch einmal ausgeben.</translation>
  </message>
  <message>
   <source>{name} cannot be drawn ({what}); make room.</source>
   <translation>{name} lässt sich nicht zeichnen ({what}); Platz schaffen.</translation>
  </message>
  <message>
   <source>drawing the SVG</source>
   <translation>SVG wird gezeichnet</translation>
  </message>
  <message>
   <source>A picture inside {name} is damaged; export it again.</source>
   <translation>Ein Bild in {name} ist beschädigt; noch einmal ausgeben.</translation>
  </message>
  <message>
   <source>choosing colours</source>
   <translation>Farben werden gewählt</translation>
  </message>
  <message>
   <source>Roll, lift, turn the block: several thin coats, from two sides.</source>
   <translation>Rollen, abheben, den Stock drehen: mehrere dünne Aufträge, von zwei Seiten.</translation>
  </message>
  <message>
   <source>Right: a satin sheen and an even hiss.</source>
   <translation>Richtig: seidiger Glanz und gleichmäßiges Zischen.</translation>
  </message>
  <message>
   <source>Too much: it smacks, lines fill. Stop, clean the lines, less ink.</source>
   <translation>Zu viel: es schmatzt, Linien laufen zu. Anhalten, Linien säubern, weniger Farbe.</translation>
  </message>
  <message>
   <source>Too little: grey and speckled. One more thin coat, not one thick.</source>
   <translation>Zu wenig: grau und gesprenkelt. Noch ein dünner Auftrag, kein dicker.</translation>
  </message>
  <message>
   <source>Dab, lift, turn the dabber: a little at a time, worked out on the slab first.</source>
   <translation>Tupfen, abheben, den Tampon drehen: wenig auf einmal, vorher auf der Platte verteilt.</translation>
  </message>
  <message>
   <source>Right: an even bloom, no ridges.</source>
   <translation>Richtig: gleichmäßiger Hauch, keine Grate.</translation>
  </message>
  <message>
   <source>Too much: threads as it lifts. Dab it off on newsprint.</source>
   <translation>Zu viel: Fäden beim Abheben. Auf Makulatur abtupfen.</translation>
  </message>
  <message>
   <source>Too little: the weave shows.</source>
   <translation>Zu wenig: das Gewebe zeigt sich.</translation>
  </message>
  <message>
   <source>Damp the block first; brush the colour out even, the last strokes with the grain; a brush for each colour.</source>
   <translation>Erst den Stock anfeuchten; die Farbe gleichmäßig ausbürsten, die letzten Striche mit der Maserung; eine Bürste je Farbe.</translation>
  </message>
  <message>
   <source>Right: damp all over, no puddles.</source>
   <translation>Richtig: überall feucht, keine Pfützen.</translation>
  </message>
  <message>
   <source>Too much: it runs to the edges. Blot them.</source>
   <translation>Zu viel: es läuft an die Ränder. Abtupfen.</translation>
  </message>
  <message>
   <source>Too little: dry strokes show.</source>
   <translation>Zu wenig: trockene Striche zeigen sich.</translation>
  </message>
  <message>
   <source>Damp the block first; colour, then a pea of paste, brushed into one; a brush for each colour.</source>
   <translation>Erst den Stock anfeuchten; Farbe, dann eine Erbse Kleister, ineinander gebürstet; eine Bürste je Farbe.</translation>
  </message>
  <message>
   <source>Right: colour and paste brushed to one even damp film, last strokes with the grain.</source>
   <translation>Richtig: Farbe und Kleister zu einem gleichmäßig feuchten Film gebürstet, letzte Striche mit der Faser.</translation>
  </message>
  <message>
   <source>Too much paste: it shines and sticks. Too much water: edges bleed.</source>
   <translation>Zu viel Kleister: es glänzt und klebt. Zu viel Wasser: Ränder bluten.</translation>
  </message>
  <message>
   <source>Too little paste: it grains. A pea more for a hand of block.</source>
   <translation>Zu wenig Kleister: es körnt. Eine Erbse mehr je Handbreit Stock.</translation>
  </message>
  <message>
   <source>Draw it on quickly, edges first.</source>
   <translation>Rasch auftragen, die Ränder zuerst.</translation>
  </message>
  <message>
   <source>Right: an even wet line, printed before it dries.</source>
   <translation>Richtig: ein gleichmäßig nasser Strich, gedruckt, ehe er trocknet.</translation>
  </message>
  <message>
   <source>Too much: it beads on the block. Breathe on it and wait.</source>
   <translation>Zu viel: es perlt auf dem Stock. Anhauchen und warten.</translation>
  </message>
  <message>
   <source>Too little: it is dry when the sheet comes. Go over it again.</source>
   <translation>Zu wenig: es ist trocken, wenn der Bogen kommt. Noch einmal nachziehen.</translation>
  </message>
  <message>
   <source>roller</source>
   <translation>Walze</translation>
  </message>
  <message>
   <source>roller, half its width</source>
   <translation>Walze, auf halber Breite</translation>
  </message>
  <message>
   <source>small roller</source>
   <translation>kleine Walze</translation>
  </message>
  <message>
   <source>dabber</source>
   <translation>Tampon</translation>
  </message>
  <message>
   <source>brush and paste</source>
   <translation>Pinsel und Kleister</translation>
  </message>
  <message>
   <source>felt pen</source>
   <translation>Filzstift</translation>
  </message>
  <message>
   <source>layer</source>
   <translation>Druckgang</translation>
  </message>
  <message>
   <source>good</source>
   <translation>gut</translation>
  </message>
  <message>
   <source>spoiled</source>
   <translation>verdorben</translation>
  </message>
  <message>
   <source>repaired</source>
   <translation>ausgebessert</translation>
  </message>
  <message>
   <source>undo</source>
   <translation>zurück</translation>
  </message>
  <message>
   <source>remark</source>
   <translation>Bemerkung</translation>
  </message>
  <message>
   <source>ink</source>
   <translation>Druckfarbe</translation>
  </message>
  <message>
   <source>air</source>
   <translation>Luft</translation>
  </message>
  <message>
   <source>cut</source>
   <translation>Schnitt</translation>
  </message>
  <message>
   <source>chosen</source>
   <translation>gewählt</translation>
  </message>
  <message>
   <source>numbered</source>
   <translation>nummeriert</translation>
  </message>
  <message>
   <source>state</source>
   <translation>Zustand</translation>
  </message>
  <message>
   <source>picture</source>
   <translation>Bild</translation>
  </message>
  <message>
   <source>press</source>
   <translation>Presse</translation>
  </message>
  <message>
   <source>order</source>
   <translation>Reihenfolge</translation>
  </message>
  <message>
   <source>batch</source>
   <translation>Charge</translation>
  </message>
  <message>
   <source>packing</source>
   <translation>Aufzug</translation>
  </message>
  <message>
   <source>mended</source>
   <translation>ausgebessert</translation>
  </message>
  <message>
   <source>given up</source>
   <translation>aufgegeben</translation>
  </message>
  <message>
   <source>project</source>
   <translation>Projekt</translation>
  </message>
  <message>
   <source>slipped</source>
   <translation>verrutscht</translation>
  </message>
  <message>
   <source>too much ink</source>
   <translation>zu viel Farbe</translation>
  </message>
  <message>
   <source>too little ink</source>
   <translation>zu wenig Farbe</translation>
  </message>
  <message>
   <source>dirt</source>
   <translation>Schmutz</translation>
  </message>
  <message>
   <source>crease</source>
   <translation>Falte</translation>
  </message>
  <message>
   <source>wrong block</source>
   <translation>falscher Stock</translation>
  </message>
  <message>
   <source>tear</source>
   <translation>Riss</translation>
  </message>
  <message>
   <source>The log {name} cannot be written ({what}): make room, or note the pull on paper.</source>
   <translation>Das Protokoll {name} lässt sich nicht schreiben ({what}): Platz schaffen oder den Druck auf Papier notieren.</translation>
  </message>
  <message>
   <source>{name} is being written by {holder}: try again in a moment.</source>
   <translation>{name} wird gerade von {holder} geschrieben: gleich noch einmal versuchen.</translation>
  </message>
  <message>
   <source>The log cannot be written in {parent}: bring the folder back or make it writable, save the project elsewhere, or note the pull on paper.</source>
   <translation>Das Protokoll kann in {parent} nicht geschrieben werden: den Ordner zurückholen oder beschreibbar machen, das Projekt anderswo sichern oder den Abzug auf Papier vermerken.</translation>
  </message>
  <message>
   <source>{path} is a link, and a log is none: move it away.</source>
   <translation>{path} ist eine Verknüpfung und kein Protokoll: aus dem Weg legen.</translation>
  </message>
  <message>
   <source>{name} is not a log of an edition.</source>
   <translation>{name} ist kein Protokoll einer Auflage.</translation>
  </message>
  <message>
   <source>{path} is no ordinary file: move it away.</source>
   <translation>{path} ist keine gewöhnliche Datei: aus dem Weg legen.</translation>
  </message>
  <message>
   <source>The log {name} cannot be read: {what}.</source>
   <translation>Das Protokoll {name} ist nicht lesbar: {what}.</translation>
  </message>
  <message>
   <source>Fingers out of the press.</source>
   <translation>Finger aus der Presse.</translation>
  </message>
  <message>
   <source>Thin sheets are taped at the far edge: loosen the tape before lifting.</source>
   <translation>Dünne Bogen werden am fernen Rand angeklebt: das Band lösen, bevor abgehoben wird.</translation>
  </message>
  <message>
   <source>baren</source>
   <translation>Baren</translation>
  </message>
  <message>
   <source>baren, in rings from the middle outwards</source>
   <translation>Baren, in Ringen von der Mitte nach außen</translation>
  </message>
  <message>
   <source>spoon</source>
   <translation>Löffel</translation>
  </message>
  <message>
   <source>spoon, small strokes, a card over the paper</source>
   <translation>Löffel, kleine Striche, eine Karte über dem Papier</translation>
  </message>
  <message>
   <source>the palm of the hand</source>
   <translation>die Handfläche</translation>
  </message>
  <message>
   <source>a clean roller</source>
   <translation>eine saubere Walze</translation>
  </message>
  <message>
   <source>a clean roller, straight over</source>
   <translation>eine saubere Walze, gerade darüber</translation>
  </message>
  <message>
   <source>by foot</source>
   <translation>mit dem Fuß</translation>
  </message>
  <message>
   <source>by foot, on felt and a board, without turning the heel</source>
   <translation>mit dem Fuß, auf Filz und Brett, ohne die Ferse zu drehen</translation>
  </message>
  <message>
   <source>hand press</source>
   <translation>Handpresse</translation>
  </message>
  <message>
   <source>baking parchment between</source>
   <translation>Backpapier dazwischen</translation>
  </message>
  <message>
   <source>a clean sheet between</source>
   <translation>ein sauberer Bogen dazwischen</translation>
  </message>
  <message>
   <source>Hold this sheet against the plan: colour, register, dirt.</source>
   <translation>Diesen Bogen gegen den Plan halten: Farbe, Passer, Schmutz.</translation>
  </message>
  <message>
   <source>Check register against the first good sheet.</source>
   <translation>Passer gegen den ersten guten Bogen prüfen.</translation>
  </message>
  <message>
   <source>Half way: scrape the slab down and roll out afresh.</source>
   <translation>Halbzeit: Farbplatte abziehen und frisch auswalzen.</translation>
  </message>
  <message>
   <source>Wipe the cleared ground.</source>
   <translation>Den ausgeräumten Grund abwischen.</translation>
  </message>
  <message>
   <source>Wipe the fine lines: extender builds up beside them.</source>
   <translation>Die feinen Linien abwischen: neben ihnen sammelt sich Lasurmittel.</translation>
  </message>
  <message>
   <source>Damp the block and the pack again.</source>
   <translation>Stock und Papierstapel wieder anfeuchten.</translation>
  </message>
  <message>
   <source>Brush every chip out of the new cuts, and check that the block is dry.</source>
   <translation>Jeden Span aus den neuen Schnitten bürsten und prüfen, ob der Stock trocken ist.</translation>
  </message>
  <message>
   <source>Bad sheet first: the first pull of a layer is poor.</source>
   <translation>Zuerst ein schlechter Bogen: der erste Druck eines Ganges ist mager.</translation>
  </message>
  <message>
   <source>Pull on newsprint first: the first pull of a layer is poor.</source>
   <translation>Zuerst auf Makulatur: der erste Druck eines Ganges ist mager.</translation>
  </message>
  <message>
   <source>An edition of {edition} cannot be planned: choose 1 to 10 000.</source>
   <translation>Eine Auflage von {edition} lässt sich nicht planen: 1 bis 10 000 wählen.</translation>
  </message>
  <message>
   <source>{layers} layers cannot be planned: choose 1 to 100.</source>
   <translation>{layers} Druckgänge lassen sich nicht planen: 1 bis 100 wählen.</translation>
  </message>
  <message>
   <source>The chance that a pull is good must be more than 0 and at most 1, not {good:g}.</source>
   <translation>Die Aussicht auf einen guten Druck muss über 0 und höchstens 1 sein, nicht {good:g}.</translation>
  </message>
  <message>
   <source>The confidence must be between 0 and 1, not {confidence:g}.</source>
   <translation>Die Sicherheit muss zwischen 0 und 1 liegen, nicht {confidence:g}.</translation>
  </message>
  <message>
   <source>With {good:.0%} good pulls and {layers} layers only {p:.2%} of sheets survive: more than {most_sheets} would be needed. Look at what spoils them first.</source>
   <translation>Bei {good:.0%} guten Drucken und {layers} Druckgängen überstehen nur {p:.2%} der Bogen alles: mehr als {most_sheets} wären nötig. Erst sehen, was sie verdirbt.</translation>
  </message>
  <message>
   <source>A full sheet is smaller than the sheets to print on: choose a larger paper.</source>
   <translation>Ein ganzer Bogen ist kleiner als die Bogen, auf die gedruckt wird: ein größeres Papier wählen.</translation>
  </message>
  <message>
   <source>Tabs and pins, {pairs} pairs, {board_mm} board</source>
   <translation>Laschen und Stifte, {pairs} Paare, Platte {board_mm}</translation>
  </message>
  <message>
   <source>As it lies before you: the block face up, the sheet face down. Print at 100 %.</source>
   <translation>Wie es vor einem liegt: der Stock mit der Druckfläche nach oben, der Bogen mit der Bildseite nach unten. Mit 100 % drucken.</translation>
  </message>
  <message>
   <source>Block {width}, sheet {width_2}.</source>
   <translation>Stock {width}, Bogen {width_2}.</translation>
  </message>
  <message>
   <source>M is the male half: glue its stub onto its foot. F is the female half. Clearance {clearance_mm} each side; the lines take up a kerf of {kerf_mm}.</source>
   <translation>M ist die männliche Hälfte: den Zapfen auf den Fuß kleben. F ist die weibliche. Spiel {clearance_mm} je Seite; die Linien berücksichtigen einen Schnittspalt von {kerf_mm}.</translation>
  </message>
  <message>
   <source>Cut one set of F for every sheet that dries with its tabs on.</source>
   <translation>Einen Satz F für jeden Bogen schneiden, der mit seinen Laschen trocknet.</translation>
  </message>
  <message>
   <source>Print it on the paper you print on. Draw each ink down in one even film, from the paper over the stripe. Let it dry. Scan it flat, at 300 dpi, without any correction, and point at: bare paper, a grey card if there is one, the ink on paper; then the bare stripe and the ink over it.</source>
   <translation>Auf dem Auflagenpapier drucken. Jede Druckfarbe in einem gleichmäßigen Film abziehen, vom Papier über den Streifen. Trocknen lassen. Flach scannen, mit 300 dpi, ohne jede Korrektur, und zeigen: blankes Papier, eine Graukarte, wenn vorhanden, die Farbe auf Papier; dann den blanken Streifen und die Farbe darüber.</translation>
  </message>
  <message>
   <source>Drawdown card</source>
   <translation>Aufstrichkarte</translation>
  </message>
  <message>
   <source>bare paper: leave it so</source>
   <translation>blankes Papier: so lassen</translation>
  </message>
  <message>
   <source>a grey card, laid here for the scan</source>
   <translation>eine Graukarte, für den Scan hierher gelegt</translation>
  </message>
  <message>
   <source>ink {bar}</source>
   <translation>Druckfarbe {bar}</translation>
  </message>
  <message>
   <source>roller reaches: mask or wipe</source>
   <translation>Walze reicht hin: abdecken oder abwischen</translation>
  </message>
  <message>
   <source>{title}: carving</source>
   <translation>{title}: Schneiden</translation>
  </message>
  <message>
   <source>{hours} h. Outlines {outline_mm} cm, {outline_h} min. Deepest {deepest}.</source>
   <translation>{hours} h. Umrisse {outline_mm} cm, {outline_h} min. Tiefste Stelle {deepest}.</translation>
  </message>
  <message>
   <source>drawing carving maps</source>
   <translation>Schneidkarten werden gezeichnet</translation>
  </message>
  <message>
   <source>{title}: {name}, as it is cut</source>
   <translation>{title}: {name}, wie geschnitten wird</translation>
  </message>
  <message>
   <source>{name}: the block face up, mirrored</source>
   <translation>{name}: der Stock mit der Druckfläche nach oben, gespiegelt</translation>
  </message>
  <message>
   <source>, {hours} min</source>
   <translation>, {hours} min</translation>
  </message>
  <message>
   <source>Cutting</source>
   <translation>Schneiden</translation>
  </message>
  <message>
   <source>Outlines first; the arrows say which way the bevel falls. Then the band beside them, {band} wide, then gouges, wide ones last, then trim close to the edges. Begin {first_depth_mm} deep at an edge.</source>
   <translation>Zuerst die Umrisse; die Pfeile zeigen, wohin die Schräge fällt. Dann das Band daneben, {band} breit, dann die Hohleisen, breite zuletzt, dann dicht an den Kanten nachschneiden. An einer Kante {first_depth_mm} tief beginnen.</translation>
  </message>
  <message>
   <source>Turn the block, not the blade. Nothing cut away can be put back.</source>
   <translation>Den Stock drehen, nicht das Messer. Was weg ist, kommt nicht wieder.</translation>
  </message>
  <message>
   <source>Block by block</source>
   <translation>Stock für Stock</translation>
  </message>
  <message>
   <source>In all {hours} h by the speeds that are set.</source>
   <translation>Zusammen {hours} h bei den eingestellten Geschwindigkeiten.</translation>
  </message>
  <message>
   <source>Delicate: {too_fine}, the finest {finest_mm}; cut them last.</source>
   <translation>Heikel: {too_fine}, die feinste {finest_mm}; diese zuletzt schneiden.</translation>
  </message>
  <message>
   <source>{name}: {area} cm²{took}</source>
   <translation>{name}: {area} cm²{took}</translation>
  </message>
  <message>
   <source>Leave the border standing to hold the block by, and mask it when you ink.</source>
   <translation>Den Rand zum Halten des Stocks stehen lassen und beim Einfärben abdecken.</translation>
  </message>
  <message>
   <source>place</source>
   <translation>Stelle</translation>
  </message>
  <message>
   <source>places</source>
   <translation>Stellen</translation>
  </message>
  <message>
   <source>{title}: overlaps</source>
   <translation>{title}: Überdrucke</translation>
  </message>
  <message>
   <source>{title}: every overlap of {inks} inks, as predicted</source>
   <translation>{title}: jeder Überdruck von {inks} Druckfarben, wie vorhergesagt</translation>
  </message>
  <message>
   <source>Right-reading.</source>
   <translation>Seitenrichtig.</translation>
  </message>
  <message>
   <source>{place} of {inks}: {name}</source>
   <translation>{place} von {inks}: {name}</translation>
  </message>
  <message>
   <source>{line} Print at 100 %.</source>
   <translation>{line} Mit 100 % drucken.</translation>
  </message>
  <message>
   <source>{name} must end in .pdf or .png.</source>
   <translation>{name} muss auf .pdf oder .png enden.</translation>
  </message>
  <message>
   <source>The block, mirrored: the grey strips stay. Cut all blocks in one corner.</source>
   <translation>Der Stock, gespiegelt: die grauen Streifen bleiben. Alle Stöcke in derselben Ecke schneiden.</translation>
  </message>
  <message>
   <source>{where}: the chart has no patch '{sample}'; it has {patches}.</source>
   <translation>{where}: die Tafel hat kein Feld '{sample}'; sie hat {patches}.</translation>
  </message>
  <message>
   <source>{name}, line {line_num}</source>
   <translation>{name}, Zeile {line_num}</translation>
  </message>
  <message>
   <source>{folder} cannot be written ({what}); choose another folder or make room.</source>
   <translation>{folder} lässt sich nicht beschreiben ({what}); einen anderen Ordner wählen oder Platz schaffen.</translation>
  </message>
  <message>
   <source>{path} cannot be read: it is not UTF-8 text.</source>
   <translation>{path} ist nicht lesbar: kein UTF-8-Text.</translation>
  </message>
  <message>
   <source>{name}, line {line_num}: this is no table of cells ({error}).</source>
   <translation>{name}, Zeile {line_num}: das ist keine Tabelle mit Zellen ({error}).</translation>
  </message>
  <message>
   <source>{where}: there are more cells than columns; mend the line.</source>
   <translation>{where}: es gibt mehr Zellen als Spalten; die Zeile berichtigen.</translation>
  </message>
  <message>
   <source>Print</source>
   <translation>Druck</translation>
  </message>
  <message>
   <source>Cut</source>
   <translation>Schneiden</translation>
  </message>
  <message>
   <source>Paper</source>
   <translation>Papier</translation>
  </message>
  <message>
   <source>Drying</source>
   <translation>Trocknen</translation>
  </message>
  <message>
   <source>, {sheets} sheets</source>
   <translation>, {sheets} Bogen</translation>
  </message>
  <message>
   <source>{width}, {len} pulls</source>
   <translation>{width}, {len} Druckgänge</translation>
  </message>
  <message>
   <source>Every block at true size, mirrored and right-reading. Print at 100 %, measure the bar.</source>
   <translation>Jeder Stock in wahrer Größe, gespiegelt und seitenrichtig. Mit 100 % drucken, den Messbalken nachmessen.</translation>
  </message>
  <message>
   <source>A page for every pull, to lie beside the press: inks, zones, film, what to check.</source>
   <translation>Eine Seite für jeden Druckgang, neben die Presse zu legen: Farben, Zonen, Film, was zu prüfen ist.</translation>
  </message>
  <message>
   <source>The drawing for each block, the right way round for the way it is transferred.</source>
   <translation>Die Zeichnung für jeden Stock, richtig herum für die Art der Übertragung.</translation>
  </message>
  <message>
   <source>What to cut with which tool, how deep, in which order, block by block.</source>
   <translation>Was mit welchem Werkzeug, wie tief und in welcher Folge geschnitten wird, Stock für Stock.</translation>
  </message>
  <message>
   <source>How block and sheet lie on the bench.</source>
   <translation>Wie Stock und Bogen auf der Werkbank liegen.</translation>
  </message>
  <message>
   <source>Tabs and pins for a cutter; pins.svg is the same.</source>
   <translation>Laschen und Stifte für einen Schneideplotter; pins.svg ist dasselbe.</translation>
  </message>
  <message>
   <source>The sheet after each pull; proof.png is the finished print.</source>
   <translation>Der Bogen nach jedem Druckgang; proof.png ist der fertige Druck.</translation>
  </message>
  <message>
   <source>All progressive proofs on one page, for pupils and collectors.</source>
   <translation>Alle Zustandsdrucke auf einer Seite, für Lernende und Sammler.</translation>
  </message>
  <message>
   <source>Edition statement and colophon, to be signed.</source>
   <translation>Auflagenvermerk und Kolophon, zum Unterschreiben.</translation>
  </message>
  <message>
   <source>The project itself; plan.json holds every figure.</source>
   <translation>Das Projekt selbst; plan.json enthält alle Zahlen.</translation>
  </message>
  <message>
   <source>{title}: index</source>
   <translation>{title}: Übersicht</translation>
  </message>
  <message>
   <source>In this packet</source>
   <translation>In dieser Mappe</translation>
  </message>
  <message>
   <source>Order of the pulls</source>
   <translation>Reihenfolge der Druckgänge</translation>
  </message>
  <message>
   <source>Cutting takes about {plan:.1f} h.</source>
   <translation>Das Schneiden dauert etwa {plan:.1f} h.</translation>
  </message>
  <message>
   <source>Before you cut</source>
   <translation>Vor dem Schneiden</translation>
  </message>
  <message>
   <source>To buy or weigh out</source>
   <translation>Zu kaufen oder abzuwiegen</translation>
  </message>
  <message>
   <source>Nothing was found that would fail or show.</source>
   <translation>Es wurde nichts gefunden, das misslingt oder auffällt.</translation>
  </message>
  <message>
   <source>{more} more stand in plan.json.</source>
   <translation>{more} weitere stehen in plan.json.</translation>
  </message>
  <message>
   <source>So many sheets</source>
   <translation>So viele Bogen</translation>
  </message>
  <message>
   <source>Assumed, not measured</source>
   <translation>Angenommen, nicht gemessen</translation>
  </message>
  <message>
   <source>Ink {step}. Then: {step_2}.</source>
   <translation>Mit {step} einfärben. Dann: {step_2}.</translation>
  </message>
  <message>
   <source>the block</source>
   <translation>der Stock</translation>
  </message>
  <message>
   <source>{name} has no column {missing}; the first line must name block (if there are several), mark, {columns}.</source>
   <translation>{name} hat keine Spalte {missing}; die erste Zeile muss block (bei mehreren), mark, {columns} nennen.</translation>
  </message>
  <message>
   <source>{name} holds no marks: measure at least two for each block.</source>
   <translation>{name} enthält keine Marken: für jeden Stock mindestens zwei messen.</translation>
  </message>
  <message>
   <source>{where}: {name} is '{what}', not a length in mm.</source>
   <translation>{where}: {name} ist '{what}', keine Länge in mm.</translation>
  </message>
  <message>
   <source>mark {len}</source>
   <translation>Marke {len}</translation>
  </message>
  <message>
   <source>png</source>
   <translation>png</translation>
  </message>
  <message>
   <source>tiff</source>
   <translation>tiff</translation>
  </message>
  <message>
   <source>ora</source>
   <translation>ora</translation>
  </message>
  <message>
   <source>svg</source>
   <translation>svg</translation>
  </message>
  <message>
   <source>There is no block to write; open a picture and separate it first.</source>
   <translation>Es gibt noch keinen Stock zu schreiben; ein Bild öffnen und zerlegen.</translation>
  </message>
  <message>
   <source>{name} is {shape} × {shape_2} pixels, the first is {shape_3} × {shape_4}; blocks must be of one size.</source>
   <translation>{name} hat {shape} × {shape_2} Bildpunkte, das erste {shape_3} × {shape_4}; Stöcke müssen gleich groß sein.</translation>
  </message>
  <message>
   <source>{name} cannot be read as a PNG or TIFF picture; export it again.</source>
   <translation>{name} ist nicht als PNG- oder TIFF-Bild lesbar; noch einmal ausgeben.</translation>
  </message>
  <message>
   <source>A layer of {name}</source>
   <translation>Eine Ebene von {name}</translation>
  </message>
  <message>
   <source>{name} has no layer; it needs one for each block.</source>
   <translation>{name} hat keine Ebene; für jeden Stock ist eine nötig.</translation>
  </message>
  <message>
   <source>{name} cannot be opened ({what}).</source>
   <translation>{name} lässt sich nicht öffnen ({what}).</translation>
  </message>
  <message>
   <source>{name} is damaged or not an OpenRaster picture; export it again.</source>
   <translation>{name} ist beschädigt oder kein OpenRaster-Bild; noch einmal ausgeben.</translation>
  </message>
  <message>
   <source>{name} would unpack to more than {largest_mb} MB and is not opened.</source>
   <translation>{name} würde auf mehr als {largest_mb} MB entpackt und wird nicht geöffnet.</translation>
  </message>
  <message>
   <source>{name} has {found} layers; a print has at most {most_layers}.</source>
   <translation>{name} hat {found} Ebenen; ein Druck hat höchstens {most_layers}.</translation>
  </message>
  <message>
   <source>{name} would unpack to too much: save it at 300 dpi or with fewer layers.</source>
   <translation>{name} würde ausgepackt zu groß: mit 300 dpi oder weniger Ebenen sichern.</translation>
  </message>
  <message>
   <source>file</source>
   <translation>Datei</translation>
  </message>
  <message>
   <source>folder</source>
   <translation>Ordner</translation>
  </message>
  <message>
   <source>'{name}' must end in {suffixes}.</source>
   <translation>„{name}“ muss auf {suffixes} enden.</translation>
  </message>
  <message>
   <source>{path} is a folder: name a file in it.</source>
   <translation>{path} ist ein Ordner: eine Datei darin nennen.</translation>
  </message>
  <message>
   <source>{path} is what is read, and is not written over: name another file.</source>
   <translation>{path} wird gelesen und nicht überschrieben: eine andere Datei nennen.</translation>
  </message>
  <message>
   <source>{path} is the log of an edition, and is not written over.</source>
   <translation>{path} ist das Protokoll einer Auflage und wird nicht überschrieben.</translation>
  </message>
  <message>
   <source>{path} is a project, and is not written over: name another file.</source>
   <translation>{path} ist ein Projekt und wird nicht überschrieben: eine andere Datei nennen.</translation>
  </message>
  <message>
   <source>{path} is another kind of file than what would be written: name another, or move it away.</source>
   <translation>{path} ist eine Datei anderer Art als die, die geschrieben würde: eine andere nennen oder sie aus dem Weg legen.</translation>
  </message>
  <message>
   <source>The files in this folder were being replaced: some are new, some old. Write them again.
</source>
   <translation>Die Dateien in diesem Ordner wurden gerade ersetzt: einige sind neu, einige alt. Noch einmal schreiben.
</translation>
  </message>
  <message>
   <source>{path} is a file, and a folder is to be written: name another.</source>
   <translation>{path} ist eine Datei, und ein Ordner soll geschrieben werden: einen anderen Namen nennen.</translation>
  </message>
  <message>
   <source>{path} is another print, with the record of its edition beside it: choose another folder.</source>
   <translation>{path} ist ein anderer Druck, mit dem Protokoll seiner Auflage daneben: einen anderen Ordner wählen.</translation>
  </message>
  <message>
   <source>{path} is not of an earlier packet: choose another folder, or move it away.</source>
   <translation>{path} stammt von keiner früheren Mappe: einen anderen Ordner wählen oder die Datei aus dem Weg legen.</translation>
  </message>
  <message>
   <source>100 mm: measure it, print at 100 %</source>
   <translation>100 mm: nachmessen, mit 100 % drucken</translation>
  </message>
  <message>
   <source>, part {column} of {tiles}</source>
   <translation>, Teil {column} von {tiles}</translation>
  </message>
  <message>
   <source> Cut at the marks and lay the edges together.</source>
   <translation> An den Marken schneiden und die Kanten aneinanderlegen.</translation>
  </message>
  <message>
   <source>'{paper}' is not a paper size; choose one of {papers_mm}.</source>
   <translation>'{paper}' ist kein Papierformat; eines von diesen wählen: {papers_mm}.</translation>
  </message>
  <message>
   <source>writing the PDF</source>
   <translation>PDF wird geschrieben</translation>
  </message>
  <message>
   <source>{title}: pulls</source>
   <translation>{title}: Druckgänge</translation>
  </message>
  <message>
   <source>drawing the pulls</source>
   <translation>Druckgänge werden gezeichnet</translation>
  </message>
  <message>
   <source>Ink, in all</source>
   <translation>Farbe insgesamt</translation>
  </message>
  <message>
   <source>Loosely</source>
   <translation>Locker</translation>
  </message>
  <message>
   <source>Mind</source>
   <translation>Achtung</translation>
  </message>
  <message>
   <source>Then</source>
   <translation>Danach</translation>
  </message>
  <message>
   <source>On the block</source>
   <translation>Auf dem Stock</translation>
  </message>
  <message>
   <source>What is inked, as it prints</source>
   <translation>Was eingefärbt wird, wie es druckt</translation>
  </message>
  <message>
   <source>The sheet after this pull</source>
   <translation>Der Bogen nach diesem Druckgang</translation>
  </message>
  <message>
   <source>Good, spoiled, repaired</source>
   <translation>Gut, verdorben, ausgebessert</translation>
  </message>
  <message>
   <source>Ink batch, air, packing</source>
   <translation>Farbcharge, Luft, Aufzug</translation>
  </message>
  <message>
   <source>Columns are sample, over, thickness and either L, a, b or the bands 380 to 730.</source>
   <translation>Die Spalten sind sample, over, thickness und entweder L, a, b oder die Bänder 380 bis 730.</translation>
  </message>
  <message>
   <source>{name}, row {place}</source>
   <translation>{name}, Zeile {place}</translation>
  </message>
  <message>
   <source>{name} holds no ink over a background. {help}</source>
   <translation>{name} enthält keine Farbe über einem Grund. {help}</translation>
  </message>
  <message>
   <source>{name} holds no colour. {help}</source>
   <translation>{name} enthält keine Farbe. {help}</translation>
  </message>
  <message>
   <source>{name} is cut short: it has no data format or no data; export it again.</source>
   <translation>{name} ist abgeschnitten: Datenformat oder Daten fehlen; noch einmal ausgeben.</translation>
  </message>
  <message>
   <source>{where}: the thickness must be a figure, 1 for the solid.</source>
   <translation>{where}: die Schichtdicke muss eine Zahl sein, 1 für den Vollton.</translation>
  </message>
  <message>
   <source>{where}: the sample has no name. {help}</source>
   <translation>{where}: die Probe hat keinen Namen. {help}</translation>
  </message>
  <message>
   <source>{where}: nothing is called '{row}' to lie on; add a row for it, without over.</source>
   <translation>{where}: nichts heißt '{row}', worauf sie liegen könnte; dafür eine Zeile ohne over hinzufügen.</translation>
  </message>
  <message>
   <source>{where}: there are neither {bands} bands nor L, a and b. {help}</source>
   <translation>{where}: weder {bands} Bänder noch L, a und b sind da. {help}</translation>
  </message>
  <message>
   <source>{where}: a reflectance must lie between 0 and 1.</source>
   <translation>{where}: ein Remissionsgrad muss zwischen 0 und 1 liegen.</translation>
  </message>
  <message>
   <source>block</source>
   <translation>Stock</translation>
  </message>
  <message>
   <source>blocks</source>
   <translation>Stöcke</translation>
  </message>
  <message>
   <source> with {faces} faces</source>
   <translation> mit {faces} Seiten</translation>
  </message>
  <message>
   <source> cut in {blocks} states</source>
   <translation> in {blocks} Zuständen geschnitten</translation>
  </message>
  <message>
   <source>{title}: edition</source>
   <translation>{title}: Auflage</translation>
  </message>
  <message>
   <source>{title}: how it was printed</source>
   <translation>{title}: wie gedruckt wurde</translation>
  </message>
  <message>
   <source>Bare paper</source>
   <translation>Blankes Papier</translation>
  </message>
  <message>
   <source>Title</source>
   <translation>Titel</translation>
  </message>
  <message>
   <source>Image</source>
   <translation>Bild</translation>
  </message>
  <message>
   <source>Sheet</source>
   <translation>Bogen</translation>
  </message>
  <message>
   <source>Method</source>
   <translation>Verfahren</translation>
  </message>
  <message>
   <source>{method_words}, cut in {materials_text}</source>
   <translation>{method_words}, geschnitten in {materials_text}</translation>
  </message>
  <message>
   <source>Blocks</source>
   <translation>Stöcke</translation>
  </message>
  <message>
   <source>{blocks_text}, printed in {impressions}: {order}</source>
   <translation>{blocks_text}, gedruckt in {impressions}: {order}</translation>
  </message>
  <message>
   <source>Inks</source>
   <translation>Druckfarben</translation>
  </message>
  <message>
   <source>Register</source>
   <translation>Passer</translation>
  </message>
  <message>
   <source>{artist} artist's proofs (AP)</source>
   <translation>{artist} Künstlerexemplare (AP)</translation>
  </message>
  <message>
   <source>{printer} printer's proofs (PP)</source>
   <translation>{printer} Druckerexemplare (PP)</translation>
  </message>
  <message>
   <source>one BAT</source>
   <translation>ein BAT</translation>
  </message>
  <message>
   <source>Dated</source>
   <translation>Datiert</translation>
  </message>
  <message>
   <source>Edition statement and colophon</source>
   <translation>Auflagenvermerk und Kolophon</translation>
  </message>
  <message>
   <source>Varied edition (EV)</source>
   <translation>Variierte Auflage (EV)</translation>
  </message>
  <message>
   <source>Edition</source>
   <translation>Auflage</translation>
  </message>
  <message>
   <source>{edition} numbered 1/{edition} to {edition}/{edition}</source>
   <translation>{edition}, nummeriert 1/{edition} bis {edition}/{edition}</translation>
  </message>
  <message>
   <source>Beside it</source>
   <translation>Daneben</translation>
  </message>
  <message>
   <source>Cancelled</source>
   <translation>Ungültig gemacht</translation>
  </message>
  <message>
   <source>{cancelled} good sheets left over are cancelled</source>
   <translation>{cancelled} gute überzählige Bogen sind ungültig gemacht</translation>
  </message>
  <message>
   <source>Signed</source>
   <translation>Unterschrieben</translation>
  </message>
  <message>
   <source>Date</source>
   <translation>Datum</translation>
  </message>
  <message>
   <source>, no two sheets alike</source>
   <translation>, keine zwei Bogen gleich</translation>
  </message>
  <message>
   <source>Printed</source>
   <translation>Gedruckt</translation>
  </message>
  <message>
   <source>{days} to {days_2}</source>
   <translation>{days} bis {days_2}</translation>
  </message>
  <message>
   <source>Still to print</source>
   <translation>Noch zu drucken</translation>
  </message>
  <message>
   <source>{short} of the edition</source>
   <translation>{short} der Auflage</translation>
  </message>
  <message>
   <source>pull</source>
   <translation>Druckgang</translation>
  </message>
  <message>
   <source>pulls</source>
   <translation>Druckgänge</translation>
  </message>
  <message>
   <source>{name} holds no ink; write one a line below the header {columns}.</source>
   <translation>{name} enthält keine Druckfarbe; unter die Kopfzeile {columns} je Zeile eine schreiben.</translation>
  </message>
  <message>
   <source>{name} has two inks called {twice}; give each its own name.</source>
   <translation>{name} enthält zwei Druckfarben namens {twice}; jeder einen eigenen Namen geben.</translation>
  </message>
  <message>
   <source>{name} has no column {missing}; its first line must be {columns}.</source>
   <translation>{name} hat keine Spalte {missing}; die erste Zeile muss {columns} sein.</translation>
  </message>
  <message>
   <source>{name} must be a list of inks, each with name, L, a, b.</source>
   <translation>{name} muss eine Liste von Druckfarben sein, jede mit name, L, a, b.</translation>
  </message>
  <message>
   <source>{name}, ink {place}</source>
   <translation>{name}, Druckfarbe {place}</translation>
  </message>
  <message>
   <source>{where}: the ink has no name.</source>
   <translation>{where}: die Druckfarbe hat keinen Namen.</translation>
  </message>
  <message>
   <source>{where}: opacity must be transparent, semi or opaque, not '{opacity}'.</source>
   <translation>{where}: opacity muss transparent, semi oder opaque sein, nicht '{opacity}'.</translation>
  </message>
  <message>
   <source>{where}: the vehicle must be one of {vehicles}.</source>
   <translation>{where}: das Bindemittel muss eines von {vehicles} sein.</translation>
  </message>
  <message>
   <source>{where}: {key} must be a figure from {bounds:g} to {bounds_2:g}.</source>
   <translation>{where}: {key} muss eine Zahl von {bounds:g} bis {bounds_2:g} sein.</translation>
  </message>
  <message>
   <source>{where}: absorption and scattering must be {bands} values of at least 0 each.</source>
   <translation>{where}: Absorption und Streuung müssen je {bands} Werte von mindestens 0 sein.</translation>
  </message>
  <message>
   <source>{where}: known must be one of {get_args}.</source>
   <translation>{where}: known muss eines von {get_args} sein.</translation>
  </message>
  <message>
   <source>{where}: reflectance must be {bands} values from 0 to 1, 380 to 730 nm by 10.</source>
   <translation>{where}: der Remissionsgrad braucht {bands} Werte von 0 bis 1, 380 bis 730 nm in Schritten von 10.</translation>
  </message>
  <message>
   <source>{where}: L must be 0 to 100, a and b −200 to 200.</source>
   <translation>{where}: L muss 0 bis 100 sein, a und b −200 bis 200.</translation>
  </message>
  <message>
   <source>{where}: strengths must be figures from {weakest:g} to 1, like 1;0.5;0.25.</source>
   <translation>{where}: Stärken müssen Zahlen von {weakest:g} bis 1 sein, etwa 1;0.5;0.25.</translation>
  </message>
  <message>
   <source>{name} is not JSON: {msg} in line {lineno}.</source>
   <translation>{name} ist kein JSON: {msg} in Zeile {lineno}.</translation>
  </message>
  <message>
   <source>{name} holds what is no list of inks; export it again.</source>
   <translation>{name} ist keine Liste von Druckfarben; noch einmal ausgeben.</translation>
  </message>
  <message>
   <source>{where}: L, a and b must be figures.</source>
   <translation>{where}: L, a und b müssen Zahlen sein.</translation>
  </message>
  <message>
   <source>tracing</source>
   <translation>Pause</translation>
  </message>
  <message>
   <source>Pale and dashed: cut this away now. Grey: keep it. White: already gone.</source>
   <translation>Blass und gestrichelt: jetzt wegschneiden. Grau: stehen lassen. Weiß: schon weg.</translation>
  </message>
  <message>
   <source>Heavy closed lines: saw or cut along them; the numbers name the pieces.</source>
   <translation>Kräftige geschlossene Linien: daran entlang sägen oder schneiden; die Zahlen benennen die Teile.</translation>
  </message>
  <message>
   <source>Kento: cut the walls upright along the heavy lines, pare the hatched floors to depth, and cleared wood below the long dashes down to the floors.</source>
   <translation>Kento: die Wände entlang der kräftigen Linien senkrecht schneiden, die schraffierten Böden auf Tiefe stechen, das ausgeräumte Holz unter den langen Strichen bis auf die Böden.</translation>
  </message>
  <message>
   <source>This is the block, mirrored: what you see is what you cut.</source>
   <translation>Dies ist der Stock, gespiegelt: geschnitten wird, was zu sehen ist.</translation>
  </message>
  <message>
   <source>Tracing, right-reading: turn it face down on the block, which mirrors it.</source>
   <translation>Pause, seitenrichtig: mit der Bildseite nach unten auf den Stock wenden, das spiegelt sie.</translation>
  </message>
  <message>
   <source>{pulls} of {impressions}: {name}{kind}. {some}</source>
   <translation>{pulls} von {impressions}: {name}{kind}. {some}</translation>
  </message>
  <message>
   <source>Block {width}, sheet {width_2}, {depth}. Solid black corner: bottom {also}.</source>
   <translation>Stock {width}, Bogen {width_2}, {depth}. Volle schwarze Ecke: unten {also}.</translation>
  </message>
  <message>
   <source>, key block</source>
   <translation>, Linienstock</translation>
  </message>
  <message>
   <source>, {face} of board {removeprefix}</source>
   <translation>, {face} von Platte {removeprefix}</translation>
  </message>
  <message>
   <source>Ink</source>
   <translation>Druckfarbe</translation>
  </message>
  <message>
   <source>{inks} inks</source>
   <translation>{inks} Druckfarben</translation>
  </message>
  <message>
   <source>notches {depth_mm} deep</source>
   <translation>Kerben {depth_mm} tief</translation>
  </message>
  <message>
   <source> Back of {name}: its solid corner is the open one here.</source>
   <translation> Rückseite von {name}: ihre volle Ecke ist hier die offene.</translation>
  </message>
  <message>
   <source>There is no block to make a template of: open a picture first.</source>
   <translation>Es gibt keinen Stock für eine Schablone: zuerst ein Bild öffnen.</translation>
  </message>
  <message>
   <source>drawing templates</source>
   <translation>Schablonen werden gezeichnet</translation>
  </message>
  <message>
   <source>Not inked: {bare}.</source>
   <translation>Nicht eingefärbt: {bare}.</translation>
  </message>
  <message>
   <source>, state {at}</source>
   <translation>, Zustand {at}</translation>
  </message>
  <message>
   <source>, strength {strength:.0%}</source>
   <translation>, Stärke {strength:.0%}</translation>
  </message>
  <message>
   <source> graded to {to:.0%}</source>
   <translation> verlaufend bis {to:.0%}</translation>
  </message>
  <message>
   <source>no ink</source>
   <translation>keine Farbe</translation>
  </message>
  <message>
   <source>block, mirrored</source>
   <translation>Stock, gespiegelt</translation>
  </message>
  <message>
   <source>tracing, right-reading</source>
   <translation>Pause, seitenrichtig</translation>
  </message>
  <message>
   <source>Blocks, mirrored: what you see is what you cut.</source>
   <translation>Stöcke, gespiegelt: geschnitten wird, was zu sehen ist.</translation>
  </message>
  <message>
   <source>{title}: blocks</source>
   <translation>{title}: Stöcke</translation>
  </message>
  <message>
   <source>stays</source>
   <translation>bleibt</translation>
  </message>
  <message>
   <source>goes</source>
   <translation>geht weg</translation>
  </message>
  <message>
   <source>Grey: what stays.</source>
   <translation>Grau: was stehen bleibt.</translation>
  </message>
  <message>
   <source>Grey: what is cut away.</source>
   <translation>Grau: was weggeschnitten wird.</translation>
  </message>
  <message>
   <source>{title}: transfer</source>
   <translation>{title}: Übertragung</translation>
  </message>
  <message>
   <source>drying</source>
   <translation>Trocknen</translation>
  </message>
  <message>
   <source>rack</source>
   <translation>Trockengestell</translation>
  </message>
  <message>
   <source>hours</source>
   <translation>Stunden</translation>
  </message>
  <message>
   <source>work</source>
   <translation>Arbeit</translation>
  </message>
  <message>
   <source>print</source>
   <translation>drucken</translation>
  </message>
  <message>
   <source>dry</source>
   <translation>trocknen</translation>
  </message>
  <message>
   <source>damp</source>
   <translation>feucht</translation>
  </message>
  <message>
   <source>all layers</source>
   <translation>alle Druckgänge</translation>
  </message>
  <message>
   <source>cut for {name}</source>
   <translation>für {name} schneiden</translation>
  </message>
  <message>
   <source>damp and press paper</source>
   <translation>Papier feuchten und pressen</translation>
  </message>
  <message>
   <source>no cleaning</source>
   <translation>keine Reinigung</translation>
  </message>
  <message>
   <source>wipe</source>
   <translation>abwischen</translation>
  </message>
  <message>
   <source>wash up</source>
   <translation>waschen</translation>
  </message>
  <message>
   <source>L* {lab:.0f}</source>
   <translation>L* {lab:.0f}</translation>
  </message>
  <message>
   <source>{words} {many} inks</source>
   <translation>{words} {many} Farben</translation>
  </message>
  <message>
   <source>Opaque: hides {below} where it covers them.</source>
   <translation>Deckend: verbirgt {below}, wo es darüberliegt.</translation>
  </message>
  <message>
   <source>back into the damp pack</source>
   <translation>zurück in den feuchten Stapel</translation>
  </message>
  <message>
   <source>dry {drying_h:g} h</source>
   <translation>{drying_h:g} h trocknen</translation>
  </message>
  <message>
   <source>The key goes on last: it covers the joins of all the colours.</source>
   <translation>Der Linienstock kommt zuletzt: er deckt die Nähte aller Farben.</translation>
  </message>
  <message>
   <source>Knocked back by what is transparent over it: {clear}.</source>
   <translation>Zurückgenommen durch das Durchscheinende darüber: {clear}.</translation>
  </message>
  <message>
   <source>Hidden where {hiding} covers it.</source>
   <translation>Verborgen, wo {hiding} darüberliegt.</translation>
  </message>
  <message>
   <source>Lighter than what is already printed ({darker_before}), {lightness}:</source>
   <translation>Heller als das schon Gedruckte ({darker_before}), {lightness}:</translation>
  </message>
  <message>
   <source>Half opaque: veils what it covers.</source>
   <translation>Halbdeckend: verschleiert, was darunterliegt.</translation>
  </message>
  <message>
   <source>The key goes on first, as the guide for the colours.</source>
   <translation>Der Linienstock kommt zuerst, als Anhalt für die Farben.</translation>
  </message>
  <message>
   <source>The key lies under later colours.</source>
   <translation>Der Linienstock liegt unter späteren Farben.</translation>
  </message>
  <message>
   <source>it will show there only as a veil.</source>
   <translation>es zeigt sich dort nur als Schleier.</translation>
  </message>
  <message>
   <source>its opacity lets it show there.</source>
   <translation>seine Deckkraft lässt es dort sehen.</translation>
  </message>
  <message>
   <source>First, {lightness}, though paler ones come later ({paler}).</source>
   <translation>Zuerst, {lightness}, obwohl noch hellere kommen ({paler}).</translation>
  </message>
  <message>
   <source>the sheets still wet</source>
   <translation>die Bogen noch nass</translation>
  </message>
  <message>
   <source>Palest, {lightness}: first on a clean roller, and everything darker covers its edge.</source>
   <translation>Am hellsten, {lightness}: zuerst auf sauberer Walze, und alles Dunklere deckt den Rand.</translation>
  </message>
  <message>
   <source>{lightness}, next darker after {name}: covers its edge.</source>
   <translation>{lightness}, nächstdunkler nach {name}: deckt dessen Rand.</translation>
  </message>
  <message>
   <source>trying orders</source>
   <translation>Reihenfolgen werden probiert</translation>
  </message>
  <message>
   <source>some hours</source>
   <translation>einige Stunden</translation>
  </message>
  <message>
   <source>a drier that halves the drying</source>
   <translation>ein Trockner, der die Trockenzeit halbiert</translation>
  </message>
  <message>
   <source>two hours more a day</source>
   <translation>zwei Stunden mehr am Tag</translation>
  </message>
  <message>
   <source>working on all seven days</source>
   <translation>Arbeit an allen sieben Tagen</translation>
  </message>
  <message>
   <source>five degrees warmer</source>
   <translation>fünf Grad wärmer</translation>
  </message>
  <message>
   <source>a second pair of hands at the press</source>
   <translation>ein zweites Paar Hände an der Presse</translation>
  </message>
  <message>
   <source>day</source>
   <translation>Tag</translation>
  </message>
  <message>
   <source>days</source>
   <translation>Tage</translation>
  </message>
  <message>
   <source>What would help most: {most}, {gain} earlier.</source>
   <translation>Am meisten hülfe {most}: {gain} früher.</translation>
  </message>
  <message>
   <source>someone who cuts meanwhile</source>
   <translation>jemand, der unterdessen schneidet</translation>
  </message>
  <message>
   <source>one roller more</source>
   <translation>eine Walze mehr</translation>
  </message>
  <message>
   <source>a rack for all {sheets} sheets</source>
   <translation>ein Trockengestell für alle {sheets} Bogen</translation>
  </message>
  <message>
   <source>no limit of pulls a day</source>
   <translation>keine Grenze für Drucke am Tag</translation>
  </message>
  <message>
   <source>Nothing of what was tried would end it earlier.</source>
   <translation>Nichts Probiertes würde es früher enden lassen.</translation>
  </message>
  <message>
   <source>whole edition</source>
   <translation>ganze Auflage</translation>
  </message>
  <message>
   <source>sheet by sheet</source>
   <translation>Bogen für Bogen</translation>
  </message>
  <message>
   <source>Times</source>
   <translation>Zeiten</translation>
  </message>
  <message>
   <source>min</source>
   <translation>min</translation>
  </message>
  <message>
   <source>Set-up</source>
   <translation>Einrichten</translation>
  </message>
  <message>
   <source>Minutes to set up for one layer.</source>
   <translation>Minuten, um einen Druckgang einzurichten.</translation>
  </message>
  <message>
   <source>One pull</source>
   <translation>Ein Druck</translation>
  </message>
  <message>
   <source>Minutes from one sheet to the next.</source>
   <translation>Minuten von einem Bogen zum nächsten.</translation>
  </message>
  <message>
   <source>Wash-up</source>
   <translation>Waschgang</translation>
  </message>
  <message>
   <source>Minutes to change to an ink that must not see the one before.</source>
   <translation>Minuten für den Wechsel zu einer Farbe, die von der vorigen nichts sehen darf.</translation>
  </message>
  <message>
   <source>Wipe</source>
   <translation>Abwischen</translation>
  </message>
  <message>
   <source>Minutes to change to an ink that may see a little of it.</source>
   <translation>Minuten für den Wechsel zu einer Farbe, die etwas davon sehen darf.</translation>
  </message>
  <message>
   <source>Cutting a state further</source>
   <translation>Einen Zustand weiterschneiden</translation>
  </message>
  <message>
   <source>Minutes of cutting between two states of a reduction.</source>
   <translation>Minuten Schneiden zwischen zwei Zuständen einer Reduktion.</translation>
  </message>
  <message>
   <source>Cutting a day, at most</source>
   <translation>Schneiden am Tag, höchstens</translation>
  </message>
  <message>
   <source>Hours a day that you cut well for.</source>
   <translation>Stunden am Tag, die du gut schneidest.</translation>
  </message>
  <message>
   <source>h</source>
   <translation>h</translation>
  </message>
  <message>
   <source>Rollers beside each other, 0 one for each ink</source>
   <translation>Walzen nebeneinander, 0 eine je Farbe</translation>
  </message>
  <message>
   <source>Printing sheet by sheet, what has a roller and a slab of its own is not cleaned in between.</source>
   <translation>Bogen für Bogen gedruckt, wird nicht zwischendurch gereinigt, was eine eigene Walze und Platte hat.</translation>
  </message>
  <message>
   <source>Places on the rack</source>
   <translation>Plätze im Trockengestell</translation>
  </message>
  <message>
   <source>So many sheets can dry at once.</source>
   <translation>So viele Bogen können zugleich trocknen.</translation>
  </message>
  <message>
   <source>Pulls a day, 0 any</source>
   <translation>Drucke am Tag, 0 beliebig</translation>
  </message>
  <message>
   <source>The most pulls you want to make on one day.</source>
   <translation>So viele Drucke sollen es an einem Tag höchstens sein.</translation>
  </message>
  <message>
   <source>Work begins at</source>
   <translation>Arbeit beginnt um</translation>
  </message>
  <message>
   <source>Hour of the day.</source>
   <translation>Stunde des Tages.</translation>
  </message>
  <message>
   <source>Work ends at</source>
   <translation>Arbeit endet um</translation>
  </message>
  <message>
   <source>Air</source>
   <translation>Luft</translation>
  </message>
  <message>
   <source>Temperature where the sheets dry: cold air dries more slowly.</source>
   <translation>Temperatur, wo die Bogen trocknen: kalte Luft trocknet langsamer.</translation>
  </message>
  <message>
   <source>Humidity</source>
   <translation>Feuchte</translation>
  </message>
  <message>
   <source>Of the air where the sheets dry.</source>
   <translation>Der Luft, wo die Bogen trocknen.</translation>
  </message>
  <message>
   <source>Damped the evening before</source>
   <translation>Am Abend davor gefeuchtet</translation>
  </message>
  <message>
   <source>The pack is damp when the day begins.</source>
   <translation>Der Stapel ist bei Tagesbeginn feucht.</translation>
  </message>
  <message>
   <source>Damping and pressing</source>
   <translation>Feuchten und Pressen</translation>
  </message>
  <message>
   <source>Minutes to damp the pack and put it under weight.</source>
   <translation>Minuten, um den Stapel zu feuchten und zu beschweren.</translation>
  </message>
  <message>
   <source>Stays damp</source>
   <translation>Bleibt feucht</translation>
  </message>
  <message>
   <source>Days that a damp pack can be printed from.</source>
   <translation>Tage, die von einem feuchten Stapel gedruckt werden kann.</translation>
  </message>
  <message>
   <source>How the edition is printed</source>
   <translation>Wie die Auflage gedruckt wird</translation>
  </message>
  <message>
   <source>All sheets get one layer before the next, or one sheet goes through all layers.</source>
   <translation>Alle Bogen bekommen einen Druckgang vor dem nächsten, oder ein Bogen geht durch alle.</translation>
  </message>
  <message>
   <source>Whole edition a layer</source>
   <translation>Ganze Auflage je Druckgang</translation>
  </message>
  <message>
   <source>Sheet by sheet</source>
   <translation>Bogen für Bogen</translation>
  </message>
  <message>
   <source>none</source>
   <translation>keine</translation>
  </message>
  <message>
   <source>wash</source>
   <translation>Lavierung</translation>
  </message>
  <message>
   <source>Carbonate is a fine powder: mask on, no draught. Oil and solvent rags go into a closed metal bin.</source>
   <translation>Magnesiumcarbonat ist ein feines Pulver: Maske auf, keine Zugluft. Öl- und Lösungsmittellappen kommen in einen geschlossenen Metallbehälter.</translation>
  </message>
  <message>
   <source>{share:.0f} % of the film takes</source>
   <translation>{share:.0f} % des Films werden angenommen</translation>
  </message>
  <message>
   <source>it does not take at all: it lifts the ink below</source>
   <translation>sie wird gar nicht angenommen: sie hebt die Farbe darunter ab</translation>
  </message>
  <message>
   <source>will not take, too tight</source>
   <translation>wird nicht angenommen, zu zügig</translation>
  </message>
  <message>
   <source>only {takes:.0f} % takes</source>
   <translation>nur {takes:.0f} % werden angenommen</translation>
  </message>
  <message>
   <source>{names} goes wet on {names_2} and must be looser by {short:.1f} on the scale of tack: a drop of oil into {names}, or a little magnesium carbonate into {names_2}. As it is, {taken}.</source>
   <translation>{names} kommt nass auf {names_2} und muss um {short:.1f} Stufen weniger zügig sein: ein Tropfen Öl in {names} oder etwas Magnesiumcarbonat in {names_2}. So, wie es ist: {taken}.</translation>
  </message>
  <message>
   <source>Turned {turn} ({way}), what was the board's {seats} corner on the front lies where its corner seats. Both faces are cut mirrored; seen through the board from the front, the back's drawing is {reads}.</source>
   <translation>{turn} gewendet ({way}), liegt die Ecke, die auf der Vorderseite {seats} war, dort, wo das Brett angelegt wird. Beide Seiten werden seitenverkehrt geschnitten; von vorn durch das Brett gesehen steht die Zeichnung der Rückseite {reads}.</translation>
  </message>
  <message>
   <source>right-reading</source>
   <translation>seitenrichtig</translation>
  </message>
  <message>
   <source>upside down</source>
   <translation>kopfüber</translation>
  </message>
  <message>
   <source>like a page</source>
   <translation>wie eine Buchseite</translation>
  </message>
  <message>
   <source>away from you</source>
   <translation>vom Körper weg</translation>
  </message>
  <message>
   <source>There must be two blocks before they can share a board.</source>
   <translation>Erst zwei Stöcke können sich eine Platte teilen.</translation>
  </message>
  <message>
   <source>There is no flat design yet: open a picture first.</source>
   <translation>Es gibt noch keinen flächigen Entwurf: zuerst ein Bild öffnen.</translation>
  </message>
  <message>
   <source>Choose two different colours to merge.</source>
   <translation>Zwei verschiedene Farben zum Vereinen wählen.</translation>
  </message>
  <message>
   <source>There are {count} colours already; merge some before splitting more off.</source>
   <translation>Es gibt schon {count} Farben; erst einige vereinen, dann abspalten.</translation>
  </message>
  <message>
   <source>{name} is one field already; there is nothing to split.</source>
   <translation>{name} ist schon ein einziges Feld; es gibt nichts abzuspalten.</translation>
  </message>
  <message>
   <source>That changes nothing: it is so already.</source>
   <translation>Das ändert nichts: es ist schon so.</translation>
  </message>
  <message>
   <source>None of these pictures has the name of a block; name them like the blocks.</source>
   <translation>Keines dieser Bilder heißt wie ein Stock; wie die Stöcke benennen.</translation>
  </message>
  <message>
   <source>{name} has another shape than the design; it must be {shape} × {shape_2} pixels.</source>
   <translation>{name} hat eine andere Form als der Entwurf; nötig sind {shape} × {shape_2} Bildpunkte.</translation>
  </message>
  <message>
   <source>Give this field a block of its own first: others are printed with it.</source>
   <translation>Diesem Feld erst einen eigenen Stock geben: andere werden mit ihm gedruckt.</translation>
  </message>
  <message>
   <source>inked</source>
   <translation>eingefärbt</translation>
  </message>
  <message>
   <source>uninked</source>
   <translation>nicht eingefärbt</translation>
  </message>
  <message>
   <source>wiped</source>
   <translation>abgewischt</translation>
  </message>
  <message>
   <source>only</source>
   <translation>nur</translation>
  </message>
  <message>
   <source>round</source>
   <translation>rund</translation>
  </message>
  <message>
   <source>That stroke covers nothing: draw around the place.</source>
   <translation>Dieser Strich bedeckt nichts: um die Stelle herumzeichnen.</translation>
  </message>
  <message>
   <source>The block prints nothing there: click where it stands.</source>
   <translation>Dort druckt der Stock nichts: klicken, wo er steht.</translation>
  </message>
  <message>
   <source>Only a zone that was drawn by hand grows by drawing; draw a new one.</source>
   <translation>Nur eine von Hand gezeichnete Zone wächst durch Zeichnen; eine neue zeichnen.</translation>
  </message>
  <message>
   <source>That zone is no longer there.</source>
   <translation>Diese Zone gibt es nicht mehr.</translation>
  </message>
  <message>
   <source>A pull has one zone at least.</source>
   <translation>Ein Druckgang hat mindestens eine Zone.</translation>
  </message>
  <message>
   <source>This pull has several zones already: leave the others out first.</source>
   <translation>Dieser Druckgang hat schon mehrere Zonen: erst die anderen weglassen.</translation>
  </message>
  <message>
   <source>A jigsaw needs at least two colours beside the key.</source>
   <translation>Ein Puzzledruck braucht mindestens zwei Farben neben dem Linienstock.</translation>
  </message>
  <message>
   <source>{name} lies nowhere any more; choose another colour.</source>
   <translation>{name} liegt nirgends mehr; eine andere Farbe wählen.</translation>
  </message>
  <message>
   <source>There are {count} colours already; merge some first.</source>
   <translation>Es gibt schon {count} Farben; erst einige vereinen.</translation>
  </message>
  <message>
   <source>drawn</source>
   <translation>gezeichnet</translation>
  </message>
  <message>
   <source>contour</source>
   <translation>Kontur</translation>
  </message>
  <message>
   <source>shadow</source>
   <translation>Schatten</translation>
  </message>
  <message>
   <source>Cut {name} first. Pull {count} impressions of it on thin paper, with {lay}: one to paste face down on each of {faces}, and one to spare.</source>
   <translation>Zuerst {name} schneiden. {count} Abzüge davon auf dünnes Papier ziehen, mit {lay}: je einen, der mit der Bildseite nach unten auf {faces} geklebt wird, und einen in Reserve.</translation>
  </message>
  <message>
   <source>Contour key</source>
   <translation>Konturstock</translation>
  </message>
  <message>
   <source>Trace the drawing once, with {lay}, and bring it onto the board; ink of the tracing must not bleed into pale inks.</source>
   <translation>Die Zeichnung einmal durchpausen, mit {lay}, und auf das Brett bringen; die Farbe der Pause darf nicht in helle Druckfarben bluten.</translation>
  </message>
  <message>
   <source>Trace the drawing once, with {lay}. Lay it face down on each of {faces} by the same marks and rub it over; ink of the tracing must not bleed into pale inks.</source>
   <translation>Die Zeichnung einmal durchpausen, mit {lay}. Sie mit der Bildseite nach unten nach denselben Marken auf jeden von {faces} legen und abreiben; die Farbe der Pause darf nicht in helle Druckfarben bluten.</translation>
  </message>
  <message>
   <source>No drawn line was found: choose the block that is to be the key first.</source>
   <translation>Keine gezeichnete Linie gefunden: erst den Stock wählen, der der Linienstock sein soll.</translation>
  </message>
  <message>
   <source>This design has no darks for a shadow key; choose contours, or none.</source>
   <translation>Dieser Entwurf hat keine Tiefen für einen Schattenstock; Konturen wählen oder keinen.</translation>
  </message>
  <message>
   <source>Shadow key</source>
   <translation>Schattenstock</translation>
  </message>
  <message>
   <source>A block and a pull for so little: leave it bare, or ink it apart on another block.</source>
   <translation>Ein Druckstock und ein Druckgang für so wenig: frei lassen oder auf einem anderen Druckstock getrennt einfärben.</translation>
  </message>
  <message>
   <source>each colour on a block of its own</source>
   <translation>jede Farbe auf einem eigenen Stock</translation>
  </message>
  <message>
   <source>block by block</source>
   <translation>Stock für Stock</translation>
  </message>
  <message>
   <source>A block a colour</source>
   <translation>Ein Stock je Farbe</translation>
  </message>
  <message>
   <source>a block for each impression</source>
   <translation>ein Stock für jeden Druckgang</translation>
  </message>
  <message>
   <source>Reduction</source>
   <translation>Verlorene Platte</translation>
  </message>
  <message>
   <source>one board, cut further before each pull</source>
   <translation>eine Platte, vor jedem Druckgang weitergeschnitten</translation>
  </message>
  <message>
   <source>as a reduction</source>
   <translation>als verlorene Platte</translation>
  </message>
  <message>
   <source>a reduction from one block</source>
   <translation>eine verlorene Platte</translation>
  </message>
  <message>
   <source>A state and a pull for so little: leave it bare, or ink it apart in another colour's pull.</source>
   <translation>Ein Zustand und ein Druckgang für so wenig: frei lassen oder im Druckgang einer anderen Farbe getrennt einfärben.</translation>
  </message>
  <message>
   <source>Jigsaw</source>
   <translation>Puzzledruck</translation>
  </message>
  <message>
   <source>sawn apart, inked apart, printed at once</source>
   <translation>auseinandergesägt, getrennt eingefärbt, auf einmal gedruckt</translation>
  </message>
  <message>
   <source>as a jigsaw</source>
   <translation>als Puzzledruck</translation>
  </message>
  <message>
   <source>a jigsaw, one block sawn into pieces</source>
   <translation>ein Puzzledruck, ein Stock in Teile gesägt</translation>
  </message>
  <message>
   <source>A piece to saw and ink for so little: leave it bare, or make it one with its neighbour.</source>
   <translation>Ein Teil zu sägen und einzufärben für so wenig: frei lassen oder mit dem Nachbarn vereinen.</translation>
  </message>
  <message>
   <source>Two-sided</source>
   <translation>Beidseitig</translation>
  </message>
  <message>
   <source>two blocks on the faces of each board</source>
   <translation>zwei Stöcke auf den Seiten jeder Platte</translation>
  </message>
  <message>
   <source>on two-sided boards</source>
   <translation>auf beidseitigen Platten</translation>
  </message>
  <message>
   <source>Two-sided boards</source>
   <translation>Beidseitige Platten</translation>
  </message>
  <message>
   <source>blocks on both faces of boards</source>
   <translation>Stöcke auf beiden Seiten der Platten</translation>
  </message>
  <message>
   <source>Process yellow</source>
   <translation>Skalengelb</translation>
  </message>
  <message>
   <source>Process red</source>
   <translation>Skalenrot</translation>
  </message>
  <message>
   <source>Process blue</source>
   <translation>Skalenblau</translation>
  </message>
  <message>
   <source>trying two inks over each other</source>
   <translation>zwei Druckfarben übereinander werden probiert</translation>
  </message>
  <message>
   <source>cut away {join}</source>
   <translation>{join} wegschneiden</translation>
  </message>
  <message>
   <source>cut further</source>
   <translation>weiterschneiden</translation>
  </message>
  <message>
   <source>A reduction prints every colour once; name each of them in its order.</source>
   <translation>Eine verlorene Platte druckt jede Farbe einmal; jede in ihrer Folge nennen.</translation>
  </message>
  <message>
   <source>working out the ink of {name}</source>
   <translation>Druckfarbe für {name} wird ausgerechnet</translation>
  </message>
  <message>
   <source>spread</source>
   <translation>unterlegt</translation>
  </message>
  <message>
   <source>kiss</source>
   <translation>auf Stoß</translation>
  </message>
  <message>
   <source>The blocks have changed meanwhile; look at the findings again.</source>
   <translation>Die Stöcke haben sich inzwischen geändert; die Befunde noch einmal ansehen.</translation>
  </message>
  <message>
   <source>Only blocks of colours, each printed once, can share one block.</source>
   <translation>Nur Farbstöcke, die je einmal gedruckt werden, können sich einen Stock teilen.</translation>
  </message>
  <message>
   <source>That would be {inks} inks on one block; {most_zones} can be inked before the first dries. Say at Method that more can, or keep a block of its own.</source>
   <translation>Das wären {inks} Druckfarben auf einem Stock; {most_zones} lassen sich einfärben, bevor die erste trocknet. Unter Verfahren mehr angeben oder einen eigenen Stock behalten.</translation>
  </message>
  <message>
   <source>Only a block that is inked in several zones can be taken apart.</source>
   <translation>Nur ein in mehreren Zonen eingefärbter Stock lässt sich aufteilen.</translation>
  </message>
  <message>
   <source>Only an impression of one graded zone can be parted.</source>
   <translation>Nur ein Druckgang mit einer einzigen verlaufenden Zone lässt sich teilen.</translation>
  </message>
  <message>
   <source>It fades to nothing: there is no pale layer to print flat first.</source>
   <translation>Der Verlauf geht auf nichts aus: es gibt keine helle Schicht, die zuerst flach zu drucken wäre.</translation>
  </message>
  <message>
   <source>Known by colour alone: {names}. A drawdown of each makes them sure.</source>
   <translation>Nur nach der Farbe bekannt: {names}. Ein Aufstrich von jeder macht sie sicher.</translation>
  </message>
  <message>
   <source>That every pull lies within {tolerance} of its place: read a proof, and it is known.</source>
   <translation>Dass jeder Druckgang bis auf {tolerance} an seinem Platz liegt: einen Andruck lesen, dann ist es bekannt.</translation>
  </message>
  <message>
   <source>A first edition: tolerance, spares and times are generous until a print is kept in the studio.</source>
   <translation>Eine erste Auflage: Toleranz, Reserve und Zeiten sind großzügig, bis ein Druck im Studio behalten wird.</translation>
  </message>
  <message>
   <source>How much ink film, tools and slab take: weigh before and after the first pulls.</source>
   <translation>Wie viel Farbe Film, Werkzeug und Platte nehmen: vor und nach den ersten Abzügen wiegen.</translation>
  </message>
  <message>
   <source>How fast you cut and print: the log of the bench teaches it.</source>
   <translation>Wie schnell du schneidest und druckst: das Protokoll am Tisch lehrt es.</translation>
  </message>
  <message>
   <source>looking at the pieces</source>
   <translation>Teile werden angesehen</translation>
  </message>
  <message>
   <source>measuring between colours</source>
   <translation>Abstände zwischen Farben werden gemessen</translation>
  </message>
  <message>
   <source>Lines thinner than {limit} break in {material}, or print broken</source>
   <translation>Linien unter {limit} brechen in {material} oder drucken unterbrochen</translation>
  </message>
  <message>
   <source>Widen them in the design, or leave them to another block.</source>
   <translation>Im Entwurf verbreitern oder einem anderen Stock überlassen.</translation>
  </message>
  <message>
   <source>Channels narrower than {limit} in {material}: no tool goes in, ink fills them</source>
   <translation>Kanäle unter {limit} in {material}: kein Werkzeug kommt hinein, Farbe setzt sie zu</translation>
  </message>
  <message>
   <source>Close them or open them in the design, or cut them with a knife.</source>
   <translation>Im Entwurf schließen oder öffnen, oder mit dem Messer schneiden.</translation>
  </message>
  <message>
   <source>Specks of less than {limit} break off</source>
   <translation>Punkte unter {limit} brechen ab</translation>
  </message>
  <message>
   <source>Take them off the block, or raise the smallest feature.</source>
   <translation>Vom Stock nehmen oder die kleinste Einzelheit größer stellen.</translation>
  </message>
  <message>
   <source>Small islands with nothing printing within {limit}: hard to ink and to keep</source>
   <translation>Kleine Inseln, um die auf {limit} nichts druckt: schwer einzufärben und zu erhalten</translation>
  </message>
  <message>
   <source>Leave ground around them to hold them, or take them off the block.</source>
   <translation>Grund um sie stehen lassen, der sie hält, oder vom Stock nehmen.</translation>
  </message>
  <message>
   <source>Cut {name} in {hard}</source>
   <translation>{name} in {hard} schneiden</translation>
  </message>
  <message>
   <source>{some} could share one block: {clearance} apart at the tightest place.</source>
   <translation>{some} könnten sich einen Stock teilen: {clearance} auseinander an der engsten Stelle.</translation>
  </message>
  <message>
   <source>{number} mm²</source>
   <translation>{number} mm²</translation>
  </message>
  <message>
   <source>{name} {some}, the finest {min}</source>
   <translation>{name} {some}, die feinste {min}</translation>
  </message>
  <message>
   <source>Put {some} on one block</source>
   <translation>{some} auf einen Stock</translation>
  </message>
  <message>
   <source>Ink them apart with small rollers or brushes and save a block and a pull.</source>
   <translation>Getrennt mit kleinen Walzen oder Pinseln einfärben, das spart einen Stock und einen Druckgang.</translation>
  </message>
  <message>
   <source>Let the layer before dry, or change the order so that the tack falls.</source>
   <translation>Den Druckgang davor trocknen lassen oder die Folge so ändern, dass die Zügigkeit abnimmt.</translation>
  </message>
  <message>
   <source>Change its ink, strength or opacity, or its place in the order.</source>
   <translation>Druckfarbe, Stärke oder Deckkraft ändern, oder den Platz in der Folge.</translation>
  </message>
  <message>
   <source>joins then show the saw</source>
   <translation>dann zeigen die Fugen die Säge</translation>
  </message>
  <message>
   <source>joins then rest on the trap</source>
   <translation>dann ruhen die Fugen auf der Überfüllung</translation>
  </message>
  <message>
   <source>It is graded, so only a part of it has the flat colour: judge it on the sheet.</source>
   <translation>Sie verläuft, nur ein Teil hat die volle Farbe: auf dem Bogen beurteilen.</translation>
  </message>
  <message>
   <source>What the saw takes shows paper: print it from a key block over the joins, or change its ink.</source>
   <translation>Was die Säge nimmt, zeigt Papier: von einer Zeichnungsplatte über die Fugen drucken oder ihre Farbe ändern.</translation>
  </message>
  <message>
   <source>Change its ink, strength or opacity.</source>
   <translation>Ihre Druckfarbe, Stärke oder Deckkraft ändern.</translation>
  </message>
  <message>
   <source> The inks' spectra are guessed from their colours: read them to be sure.</source>
   <translation> Die Spektren der Druckfarben sind aus ihren Farben geschätzt: messen, um sicher zu sein.</translation>
  </message>
  <message>
   <source>Better here: {better}. {reason}</source>
   <translation>Hier besser: {better}. {reason}</translation>
  </message>
  <message>
   <source>Two pulls may lie {apart} apart at the worst place, and {tolerance_mm} are allowed.</source>
   <translation>Zwei Druckgänge können an der schlimmsten Stelle {apart} auseinanderliegen, erlaubt sind {tolerance_mm}.</translation>
  </message>
  <message>
   <source>{name} and {name_2} are alike, ΔE {distance}.</source>
   <translation>{name} und {name_2} sind sich ähnlich, ΔE {distance}.</translation>
  </message>
  <message>
   <source>{name} covers only {area_mm2} mm² ({share} %).</source>
   <translation>{name} bedeckt nur {area_mm2} mm² ({share} %).</translation>
  </message>
  <message>
   <source>Let it dry first</source>
   <translation>Erst trocknen lassen</translation>
  </message>
  <message>
   <source>No key block: nothing dark in this design holds it together.</source>
   <translation>Kein Linienstock: nichts Dunkles hält diesen Entwurf zusammen.</translation>
  </message>
  <message>
   <source>Draw contours, lay a shadow over its darks, or print without: {rest}.</source>
   <translation>Konturen zeichnen, einen Schatten über die Dunkel legen oder ohne drucken: {rest}.</translation>
  </message>
  <message>
   <source>{name} changes nothing that is seen: ΔE below {unseen_de00} everywhere.</source>
   <translation>{name} ändert nichts Sichtbares: ΔE überall unter {unseen_de00}.</translation>
  </message>
  <message>
   <source>with every block in its place</source>
   <translation>mit jedem Stock an seinem Platz</translation>
  </message>
  <message>
   <source>{names} and {names_2} match in the booth and part by ΔE {apart} under {light_names}.</source>
   <translation>{names} und {names_2} sind im Abmusterungslicht gleich und unterscheiden sich um ΔE {apart} bei: {light_names}.</translation>
  </message>
  <message>
   <source>{name} was read on whiter paper: on this one it will look duller, by ΔE {off}.</source>
   <translation>{name} wurde auf weißerem Papier gemessen: auf diesem sieht sie stumpfer aus, um ΔE {off}.</translation>
  </message>
  <message>
   <source>Too tight: {names}.</source>
   <translation>Zu zügig: {names}.</translation>
  </message>
  <message>
   <source>No key block, though {name} is dark enough to be one.</source>
   <translation>Keine Zeichnungsplatte, obwohl {name} dunkel genug dafür ist.</translation>
  </message>
  <message>
   <source>As the key it is cut first and carries the drawing onto the other blocks.</source>
   <translation>Als Zeichnungsplatte wird sie zuerst geschnitten und trägt die Zeichnung auf die anderen Druckstöcke.</translation>
  </message>
  <message>
   <source> out of register</source>
   <translation> verschoben</translation>
  </message>
  <message>
   <source>Bare paper shows on {bare} mm², {cause}.</source>
   <translation>Blankes Papier blitzt auf {bare} mm², {cause}.</translation>
  </message>
  <message>
   <source>Until then no templates can be made.</source>
   <translation>Bis dahin gibt es keine Schablonen.</translation>
  </message>
  <message>
   <source>Tried out of register: {out}.</source>
   <translation>Verschoben ausprobiert: {out}.</translation>
  </message>
  <message>
   <source>Templates are made in register all the same.</source>
   <translation>Schablonen werden trotzdem passgenau gemacht.</translation>
  </message>
  <message>
   <source>No marks are printed. {reason}</source>
   <translation>Es werden keine Marken gedruckt. {reason}</translation>
  </message>
  <message>
   <source>Or print none.</source>
   <translation>Oder keine drucken.</translation>
  </message>
  <message>
   <source>See the parts of it under Tolerance, or welcome a looser print.</source>
   <translation>Unter Toleranz die Anteile ansehen, oder einen lockereren Druck begrüßen.</translation>
  </message>
  <message>
   <source>One colour fewer may do: flatten to fewer colours.</source>
   <translation>Eine Farbe weniger kann genügen: auf weniger Farben bringen.</translation>
  </message>
  <message>
   <source>Draw a contour key</source>
   <translation>Einen Konturstock zeichnen</translation>
  </message>
  <message>
   <source>Leave this block out, or make its ink stronger.</source>
   <translation>Diesen Stock weglassen oder seine Farbe kräftiger machen.</translation>
  </message>
  <message>
   <source>with </source>
   <translation>mit </translation>
  </message>
  <message>
   <source>Widen the trap or the key line, or register more closely.</source>
   <translation>Überfüllung oder Linie verbreitern, oder genauer passen.</translation>
  </message>
  <message>
   <source>Meant, where a place is left without ink or wiped; else widen the trap.</source>
   <translation>Gewollt, wo eine Stelle ohne Farbe bleibt oder ausgewischt wird; sonst die Überfüllung verbreitern.</translation>
  </message>
  <message>
   <source>{name} comes out ΔE {de00} from what is wanted.</source>
   <translation>{name} kommt ΔE {de00} neben dem Gewünschten heraus.</translation>
  </message>
  <message>
   <source>Mix both from the same pigments if they are to stay one colour.{doubt}</source>
   <translation>Beide aus denselben Pigmenten mischen, wenn sie eine Farbe bleiben sollen.{doubt}</translation>
  </message>
  <message>
   <source>Print a pale opaque white below it, take whiter paper, or read the ink on this one.</source>
   <translation>Ein blasses deckendes Weiß darunterdrucken, weißeres Papier nehmen oder die Farbe auf diesem messen.</translation>
  </message>
  <message>
   <source>Make it the key</source>
   <translation>Zum Linienstock machen</translation>
  </message>
  <message>
   <source>Lay a shadow key</source>
   <translation>Einen Schattenstock legen</translation>
  </message>
  <message>
   <source>Leave {name} out</source>
   <translation>{name} weglassen</translation>
  </message>
  <message>
   <source>{name} and {name_2}</source>
   <translation>{name} und {name_2}</translation>
  </message>
  <message>
   <source>up to {half_mm} over along half its edge, unseen</source>
   <translation>auf halber Randlänge bis {half_mm} darüber, unsichtbar</translation>
  </message>
  <message>
   <source>May be inked loosely, {loose}{exact}.</source>
   <translation>Darf locker eingefärbt werden, {loose}{exact}.</translation>
  </message>
  <message>
   <source>stand {gap} apart</source>
   <translation>{gap} auseinander</translation>
  </message>
  <message>
   <source>; {tight} % of its edge must be true</source>
   <translation>; {tight} % des Randes müssen stimmen</translation>
  </message>
  <message>
   <source>looking where ink may stray</source>
   <translation>wo Farbe danebengehen darf, wird gesucht</translation>
  </message>
  <message>
   <source>{id}: {inks} inks at once, and {most} can be inked before the first dries.</source>
   <translation>{id}: {inks} Druckfarben auf einmal, und {most} lassen sich einfärben, bevor die erste trocknet.</translation>
  </message>
  <message>
   <source>Print some of them in a further pull of the block, or say at Method that more can.</source>
   <translation>Einige in einem weiteren Druckgang des Stocks drucken oder unter Verfahren mehr angeben.</translation>
  </message>
  <message>
   <source>{id}: {names} {met} on the block; inking them apart this way takes {need}.</source>
   <translation>{id}: {names} – {met} auf dem Stock; so getrennt einzufärben braucht {need}.</translation>
  </message>
  <message>
   <source>Let them blend there, ink with a smaller tool, mask one with paper, or cut a channel between.</source>
   <translation>Dort ineinanderlaufen lassen, mit kleinerem Werkzeug einfärben, eine mit Papier abdecken oder einen Kanal dazwischen schneiden.</translation>
  </message>
  <message>
   <source>{lighter} and {darker} only kiss, along {length}: an overlap would show as a seam, ΔE {seam_de00}. {tolerance_mm} out of register opens up to {tolerance_mm_2} mm² {below}.</source>
   <translation>{lighter} und {darker} stehen auf {length} nur auf Stoß: ein Überlappen zeigte sich als Naht, ΔE {seam_de00}. {tolerance_mm} verschoben öffnen sich bis zu {tolerance_mm_2} mm² {below}.</translation>
  </message>
  <message>
   <source>of {names} from below</source>
   <translation>von {names} darunter</translation>
  </message>
  <message>
   <source>of bare paper</source>
   <translation>blankes Papier</translation>
  </message>
  <message>
   <source> {seen} borders show one.</source>
   <translation> {seen} Grenzen zeigen eine.</translation>
  </message>
  <message>
   <source>Run {lighter} through under {darker}</source>
   <translation>{lighter} unter {darker} durchziehen</translation>
  </message>
  <message>
   <source>Run {lighter} right through under {darker}: the colour stays.</source>
   <translation>{lighter} ganz unter {darker} durchziehen: die Farbe bleibt.</translation>
  </message>
  <message>
   <source>A key line over the join would hide it; or register more closely there.</source>
   <translation>Eine Linie der Zeichnungsplatte über der Fuge würde es verdecken; oder dort genauer einpassen.</translation>
  </message>
  <message>
   <source>Where {names} runs under {names_2} a dark seam shows, {trap_mm} wide, ΔE {seam_de00}, along {length}.{more}</source>
   <translation>Wo {names} unter {names_2} läuft, zeigt sich eine dunkle Naht, {trap_mm} breit, ΔE {seam_de00}, auf {length} Länge.{more}</translation>
  </message>
  <message>
   <source>A gap of bare paper would show more. A key line over the join would hide it; where every sheet meets within a tenth or two the colours can kiss instead.</source>
   <translation>Eine Lücke aus bloßem Papier fiele mehr auf. Eine Linie darüber würde es verdecken; wo jeder Bogen auf ein, zwei Zehntel passt, können die Farben stattdessen nur aneinanderstoßen.</translation>
  </message>
  <message>
   <source>No seams above ΔE {below:.0f}</source>
   <translation>Keine Nähte über ΔE {below:.0f}</translation>
  </message>
  <message>
   <source>{name} and {name_2} are faces of one board and are printed one after the other.</source>
   <translation>{name} und {name_2} sind Seiten einer Platte und werden nacheinander gedruckt.</translation>
  </message>
  <message>
   <source>The border that holds the pieces is {border} wide at its narrowest, {grip} are wanted.</source>
   <translation>Der Rand, der die Teile hält, ist an der engsten Stelle {border} breit, gewünscht sind {grip}.</translation>
  </message>
  <message>
   <source>Does this design hold writing or numbers? Cut right-reading, they would print reversed.</source>
   <translation>Enthält dieser Entwurf Schrift oder Zahlen? Seitenrichtig geschnitten, würden sie verkehrt drucken.</translation>
  </message>
  <message>
   <source>Say yes and the templates remind you to check.</source>
   <translation>Mit Ja erinnern die Schablonen ans Prüfen.</translation>
  </message>
  <message>
   <source>Wait until the first face is clean and dry, or print another block between them.</source>
   <translation>Warten, bis die erste Seite sauber und trocken ist, oder dazwischen einen anderen Stock drucken.</translation>
  </message>
  <message>
   <source>Mark that corner on both faces.</source>
   <translation>Diese Ecke auf beiden Seiten anzeichnen.</translation>
  </message>
  <message>
   <source>The design holds writing: it must stand reversed on every block.</source>
   <translation>Der Entwurf enthält Schrift: sie muss auf jedem Stock verkehrt herum stehen.</translation>
  </message>
  <message>
   <source>It does on the templates headed as mirrored; check one word in a mirror before cutting.</source>
   <translation>So steht sie auf den als gespiegelt bezeichneten Schablonen; vor dem Schneiden ein Wort im Spiegel prüfen.</translation>
  </message>
  <message>
   <source>Choose a larger sheet, or cut the block larger than the sheet needs.</source>
   <translation>Einen größeren Bogen wählen oder den Stock größer schneiden, als der Bogen es braucht.</translation>
  </message>
  <message>
   <source>It does</source>
   <translation>Ja</translation>
  </message>
  <message>
   <source>It does not</source>
   <translation>Nein</translation>
  </message>
  <message>
   <source>trying blocks out of register</source>
   <translation>Stöcke werden verschoben probiert</translation>
  </message>
  <message>
   <source>{small} of {pieces} pieces are smaller than {small_piece_mm2} mm²: hard to saw, easily lost. Number {number} has only {area_mm2} mm².</source>
   <translation>{small} von {pieces} Teilen sind kleiner als {small_piece_mm2} mm²: schwer zu sägen, leicht verloren. Nummer {number} hat nur {area_mm2} mm².</translation>
  </message>
  <message>
   <source>Piece {number}, {name}, is {width_mm} thin at a neck: it breaks there.{more}</source>
   <translation>Teil {number}, {name}, ist an einem Hals nur {width_mm} dünn: dort bricht es.{more}</translation>
  </message>
  <message>
   <source>The saw takes {kerf_mm}: white hairlines along {joins} m of joins, about {joins_2} cm² of paper.</source>
   <translation>Die Säge nimmt {kerf_mm}: weiße Haarlinien auf {joins} m Fugen, etwa {joins_2} cm² Papier.</translation>
  </message>
  <message>
   <source>A thinner blade or a knife, pieces pushed together in their border, or a key over the joins.</source>
   <translation>Ein dünneres Blatt oder ein Messer, die Teile in ihrem Rand zusammenschieben, oder ein Linienstock über den Fugen.</translation>
  </message>
  <message>
   <source> and {len} more</source>
   <translation> und {len} weitere</translation>
  </message>
  <message>
   <source>State {known}, {name}, {parts}{windows}.</source>
   <translation>Zustand {known}, {name}, {parts}{windows}.</translation>
  </message>
  <message>
   <source> One of {necks} such places.</source>
   <translation> Eine von {necks} solchen Stellen.</translation>
  </message>
  <message>
   <source>{number} in {window_of}</source>
   <translation>{number} in {window_of}</translation>
  </message>
  <message>
   <source>Pieces that lie wholly inside another: {some}{more}.</source>
   <translation>Teile, die ganz in einem anderen liegen: {some}{more}.</translation>
  </message>
  <message>
   <source>A saw needs a hole drilled on the line to start from; a knife cuts them out.</source>
   <translation>Eine Säge braucht ein auf der Linie gebohrtes Loch zum Ansetzen; ein Messer schneidet sie aus.</translation>
  </message>
  <message>
   <source>falls into {parts} loose parts</source>
   <translation>zerfällt in {parts} lose Teile</translation>
  </message>
  <message>
   <source>hangs together</source>
   <translation>hängt zusammen</translation>
  </message>
  <message>
   <source>, {windows} to cut out</source>
   <translation>, {windows} auszuschneiden</translation>
  </message>
  <message>
   <source>{name} could be inked apart in pull {best}, with {other_name}: {length_text} from all else that stands there.</source>
   <translation>{name} könnte in Druckgang {best} mit {other_name} getrennt eingefärbt werden: {length_text} von allem anderen, was dort steht.</translation>
  </message>
  <message>
   <source>Merge them with a neighbour at the Design station, or leave them to a key block.</source>
   <translation>Im Entwurf mit einem Nachbarn vereinen oder einem Linienstock überlassen.</translation>
  </message>
  <message>
   <source>Widen it in the design, or saw it there on purpose and have two pieces.</source>
   <translation>Im Entwurf verbreitern, oder dort mit Absicht sägen und zwei Teile haben.</translation>
  </message>
  <message>
   <source>Loose parts of one colour, each inked and placed by itself: {some}.</source>
   <translation>Lose Teile einer Farbe, jedes für sich eingefärbt und eingelegt: {some}.</translation>
  </message>
  <message>
   <source>Lay them out by number; the same number stands on every template.</source>
   <translation>Nach Nummern auslegen; dieselbe Nummer steht auf jeder Schablone.</translation>
  </message>
  <message>
   <source>Each loose part is placed by hand at every pull: leave a bridge, or keep a carved ground. Method shows them by number.</source>
   <translation>Jeder lose Teil wird bei jedem Druck von Hand eingelegt: einen Steg lassen oder einen geschnittenen Grund behalten. Verfahren zeigt sie nach Nummern.</translation>
  </message>
  <message>
   <source>With a small roller or brush, and cut away with it: saves a pull.</source>
   <translation>Mit kleiner Walze oder Pinsel, und mit ihm weggeschnitten: spart einen Druckgang.</translation>
  </message>
  <message>
   <source>window</source>
   <translation>Fenster</translation>
  </message>
  <message>
   <source>windows</source>
   <translation>Fenster</translation>
  </message>
  <message>
   <source>Ink {name} apart with {other_name}</source>
   <translation>{name} getrennt mit {other_name} einfärben</translation>
  </message>
  <message>
   <source>Colours are reckoned otherwise than when this was saved: {figures}{more}. {why}</source>
   <translation>Farben werden anders berechnet als beim Sichern dieses Drucks: {figures}{more}. {why}</translation>
  </message>
  <message>
   <source>This print was saved by an earlier Nomos, whose figures are not in its file. It is now foretold at a mean ΔE of {mean}, {name} the furthest off at {worst}. {why}</source>
   <translation>Dieser Druck wurde mit einem früheren Nomos gesichert, dessen Zahlen nicht in der Datei stehen. Vorhergesagt ist jetzt ein mittleres ΔE von {mean}, am weitesten daneben {name} mit {worst}. {why}</translation>
  </message>
  <message>
   <source> and {more} more</source>
   <translation> und {more} weitere</translation>
  </message>
  <message>
   <source>{name} ΔE {old}, now {new}</source>
   <translation>{name} ΔE {old}, jetzt {new}</translation>
  </message>
  <message>
   <source>There is nothing to print yet: open a picture and flatten it first.</source>
   <translation>Es gibt noch nichts zu drucken: ein Bild öffnen und auf Flächen bringen.</translation>
  </message>
  <message>
   <source>Make it part of the design: move the drawing's border there, and say so before the first pull.</source>
   <translation>Es zum Entwurf machen: die Grenze der Zeichnung dorthin legen, und zwar vor dem ersten Druckgang.</translation>
  </message>
  <message>
   <source>Let {name} print there, if it is not cut yet: ΔE {de00} is left of {worst}.</source>
   <translation>{name} dort drucken lassen, falls er noch nicht geschnitten ist: ΔE {de00} bleibt von {worst}.</translation>
  </message>
  <message>
   <source> {later} lies over it.</source>
   <translation> {later} liegt darüber.</translation>
  </message>
  <message>
   <source>Leave it: nobody will see it.{covered}</source>
   <translation>Lassen: niemand wird es sehen.{covered}</translation>
  </message>
  <message>
   <source>Touch it up on each sheet with a small brush and the same ink, while it is wet.</source>
   <translation>Auf jedem Bogen mit kleinem Pinsel und derselben Farbe nachtupfen, solange sie nass ist.</translation>
  </message>
  <message>
   <source>Nothing that prints stands there: clear it and go on.</source>
   <translation>Dort steht nichts, was druckt: ausräumen und weitermachen.</translation>
  </message>
  <message>
   <source>half opaque</source>
   <translation>halbdeckend</translation>
  </message>
  <message>
   <source>Make {name} opaque: ΔE {then} then. Working the reduction out again does not help.</source>
   <translation>{name} deckend machen: dann ΔE {then}. Die verlorene Platte neu auszurechnen hilft nicht.</translation>
  </message>
  <message>
   <source>A reduction: once the board is cut further, no sheet can be added.</source>
   <translation>Eine verlorene Platte: ist sie weitergeschnitten, kommt kein Bogen mehr hinzu.</translation>
  </message>
  <message>
   <source>Print more sheets than the edition through the first pull, all of them before the next cut.</source>
   <translation>Mehr Bogen als die Auflage durch den ersten Druckgang bringen, alle vor dem nächsten Schnitt.</translation>
  </message>
  <message>
   <source>{name} cannot be reached with {word} ink, ΔE {left}: {cause}.</source>
   <translation>{name} ist mit dieser Druckfarbe ({word}) nicht zu erreichen, ΔE {left}: {cause}.</translation>
  </message>
  <message>
   <source>Print it earlier, before what shows through it, or give it a block of its own.</source>
   <translation>Früher drucken, vor dem, was durchscheint, oder einen eigenen Stock geben.</translation>
  </message>
  <message>
   <source>Make {name} opaque</source>
   <translation>{name} deckend machen</translation>
  </message>
  <message>
   <source>it is lighter than what lies under it</source>
   <translation>sie ist heller als das, was darunterliegt</translation>
  </message>
  <message>
   <source>what lies under it shows through</source>
   <translation>was darunterliegt, scheint durch</translation>
  </message>
  <message>
   <source>Ink used, g</source>
   <translation>Verbrauchte Farbe, g</translation>
  </message>
  <message>
   <source>Air, °C and %</source>
   <translation>Luft, °C und %</translation>
  </message>
  <message>
   <source>Batch</source>
   <translation>Charge</translation>
  </message>
  <message>
   <source>Packing, sheets</source>
   <translation>Aufzug, Bogen</translation>
  </message>
  <message>
   <source>Remark</source>
   <translation>Bemerkung</translation>
  </message>
  <message>
   <source>cut further for {id}</source>
   <translation>weitergeschnitten für {id}</translation>
  </message>
  <message>
   <source>{kind} cannot be noted.</source>
   <translation>{kind} lässt sich nicht notieren.</translation>
  </message>
  <message>
   <source>Every layer is printed: choose and number the sheets.</source>
   <translation>Alle Druckgänge sind gedruckt: Bogen auswählen und nummerieren.</translation>
  </message>
  <message>
   <source>Begin the layer first.</source>
   <translation>Erst den Druckgang beginnen.</translation>
  </message>
  <message>
   <source>Every sheet has this layer: begin the next one.</source>
   <translation>Jeder Bogen hat diesen Druckgang: den nächsten beginnen.</translation>
  </message>
  <message>
   <source>There is no sheet {sheet}.</source>
   <translation>Es gibt keinen Bogen {sheet}.</translation>
  </message>
  <message>
   <source>Sheet {sheet} is spoiled already.</source>
   <translation>Bogen {sheet} ist schon verdorben.</translation>
  </message>
  <message>
   <source>Write what is to be noted.</source>
   <translation>Schreiben, was notiert werden soll.</translation>
  </message>
  <message>
   <source>'{said}' is not a weight of ink; write the grams, as 12.5.</source>
   <translation>'{said}' ist kein Farbgewicht; Gramm schreiben, etwa 12,5.</translation>
  </message>
  <message>
   <source>'{said}' is not the air; write degrees and per cent, as 19 55.</source>
   <translation>'{said}' ist keine Luft; Grad und Prozent schreiben, etwa 19 55.</translation>
  </message>
  <message>
   <source>{at:%d %b %H:%M}, </source>
   <translation>{at:%d. %b %H:%M}, </translation>
  </message>
  <message>
   <source>{sheet} best</source>
   <translation>Bogen {sheet} als bester</translation>
  </message>
  <message>
   <source>Lacks</source>
   <translation>Es fehlen</translation>
  </message>
  <message>
   <source>Spoiled</source>
   <translation>Verdorben</translation>
  </message>
  <message>
   <source>Mended</source>
   <translation>Ausgebessert</translation>
  </message>
  <message>
   <source>the poor first pull</source>
   <translation>der magere erste Druck</translation>
  </message>
  <message>
   <source>yes</source>
   <translation>ja</translation>
  </message>
  <message>
   <source>Wet until</source>
   <translation>Nass bis</translation>
  </message>
  <message>
   <source>{dries:%a %d %b %H:%M}</source>
   <translation>{dries:%a %d. %b %H:%M}</translation>
  </message>
  <message>
   <source>Dry</source>
   <translation>Trocken</translation>
  </message>
  <message>
   <source>then let them dry, press them flat, choose and number them</source>
   <translation>dann trocknen lassen, flach pressen, auswählen und nummerieren</translation>
  </message>
  <message>
   <source>onto the wet layer before</source>
   <translation>auf den nassen Druckgang davor</translation>
  </message>
  <message>
   <source>{tool} Ø {across}</source>
   <translation>{tool} Ø {across}</translation>
  </message>
  <message>
   <source>solid corner near, {hand}</source>
   <translation>volle Ecke vorn, {hand}</translation>
  </message>
  <message>
   <source>Block {name}; {corner}{pieces}.</source>
   <translation>Stock {name}; {corner}{pieces}.</translation>
  </message>
  <message>
   <source>{grams} g for {sheets} sheets</source>
   <translation>{grams} g für {sheets} Bogen</translation>
  </message>
  <message>
   <source>then {between_pulls}; next {following}</source>
   <translation>dann {between_pulls}; als Nächstes {following}</translation>
  </message>
  <message>
   <source>{layer} of {count}: {id}</source>
   <translation>{layer} von {count}: {id}</translation>
  </message>
  <message>
   <source>{where}left without ink</source>
   <translation>{where}ohne Farbe gelassen</translation>
  </message>
  <message>
   <source>{where}wiped with a cloth before the pull{edge}</source>
   <translation>{where}vor dem Druck mit einem Lappen abgewischt{edge}</translation>
  </message>
  <message>
   <source>where it is drawn: </source>
   <translation>wo gezeichnet: </translation>
  </message>
  <message>
   <source>the rest: </source>
   <translation>der Rest: </translation>
  </message>
  <message>
   <source>nothing</source>
   <translation>nichts</translation>
  </message>
  <message>
   <source>{to:.0f} %</source>
   <translation>{to:.0f} %</translation>
  </message>
  <message>
   <source>{strength:.0f} %</source>
   <translation>{strength:.0f} %</translation>
  </message>
  <message>
   <source>graded from {begin} at {edges} to {end} over {edge_mm}</source>
   <translation>verlaufend von {begin} an: {edges}, bis {end} über {edge_mm}</translation>
  </message>
  <message>
   <source>top to bottom</source>
   <translation>von oben nach unten</translation>
  </message>
  <message>
   <source>bottom to top</source>
   <translation>von unten nach oben</translation>
  </message>
  <message>
   <source>left to right of the print</source>
   <translation>auf dem Druck von links nach rechts</translation>
  </message>
  <message>
   <source>right to left of the print</source>
   <translation>auf dem Druck von rechts nach links</translation>
  </message>
  <message>
   <source>graded from {begin} to {end}, {way}</source>
   <translation>verlaufend von {begin} bis {end}, {way}</translation>
  </message>
  <message>
   <source>{packing_sheets} sheets of packing</source>
   <translation>{packing_sheets} Bogen Aufzug</translation>
  </message>
  <message>
   <source>little packing, light pressure</source>
   <translation>wenig Aufzug, leichter Druck</translation>
  </message>
  <message>
   <source>more packing, a large solid</source>
   <translation>mehr Aufzug, eine große Fläche</translation>
  </message>
  <message>
   <source>usual packing</source>
   <translation>üblicher Aufzug</translation>
  </message>
  <message>
   <source>The board, state {index} of {states}; {corner}.</source>
   <translation>Die Platte, Zustand {index} von {states}; {corner}.</translation>
  </message>
  <message>
   <source>; every piece inked, numbers as on the template</source>
   <translation>; jedes Teil eingefärbt, Nummern wie auf der Schablone</translation>
  </message>
  <message>
   <source>Block onto the paper, on its traced place.</source>
   <translation>Stock auf das Papier, auf seinen gepausten Platz.</translation>
  </message>
  <message>
   <source>, the edge soft over {soft_mm}</source>
   <translation>, der Rand weich über {soft_mm}</translation>
  </message>
  <message>
   <source>, a hard edge</source>
   <translation>, mit hartem Rand</translation>
  </message>
  <message>
   <source>{strength:.0f} % extender</source>
   <translation>{strength:.0f} % Lasurmittel</translation>
  </message>
  <message>
   <source>{also} film</source>
   <translation>Film {also}</translation>
  </message>
  <message>
   <source>the outer edge</source>
   <translation>nur der äußere Rand</translation>
  </message>
  <message>
   <source>each edge</source>
   <translation>jeder Rand</translation>
  </message>
  <message>
   <source> and back</source>
   <translation> und zurück</translation>
  </message>
  <message>
   <source>firm all over, a large solid</source>
   <translation>überall kräftig, eine große Fläche</translation>
  </message>
  <message>
   <source>light pressure</source>
   <translation>leichter Druck</translation>
  </message>
  <message>
   <source>Board {number_of}, {face} up; {marked}.</source>
   <translation>Platte {number_of}, {face} nach oben; {marked}.</translation>
  </message>
  <message>
   <source>Wipe the marked places before each pull.</source>
   <translation>Die markierten Stellen vor jedem Druck abwischen.</translation>
  </message>
  <message>
   <source>Check</source>
   <translation>Prüfen</translation>
  </message>
  <message>
   <source>Damp</source>
   <translation>Feuchten</translation>
  </message>
  <message>
   <source>Onto</source>
   <translation>Auf</translation>
  </message>
  <message>
   <source>Lay</source>
   <translation>Legen</translation>
  </message>
  <message>
   <source>Press</source>
   <translation>Drucken</translation>
  </message>
  <message>
   <source>Lift</source>
   <translation>Abheben</translation>
  </message>
  <message>
   <source>its solid corner is the back's own</source>
   <translation>ihre volle Ecke ist die eigene der Rückseite</translation>
  </message>
  <message>
   <source>thin</source>
   <translation>dünn</translation>
  </message>
  <message>
   <source>The roller reaches cleared ground, however deep: {said}.</source>
   <translation>Die Walze erreicht ausgeräumten Grund, wie tief er auch ist: {said}.</translation>
  </message>
  <message>
   <source>Lino of {thickness_mm} leaves little depth: cleared ground will print.</source>
   <translation>Linol von {thickness_mm} gibt wenig Tiefe: ausgeräumter Grund wird mitdrucken.</translation>
  </message>
  <message>
   <source>{area} cm²</source>
   <translation>{area} cm²</translation>
  </message>
  <message>
   <source>Mask it, leave a bridge to carry the roller and cut it away last, wipe it every {pulls} pulls, or take a larger, harder roller.</source>
   <translation>Abdecken, einen Steg stehen lassen, der die Walze trägt, und zuletzt wegschneiden, alle {pulls} Abzüge auswischen oder eine größere, härtere Walze nehmen.</translation>
  </message>
  <message>
   <source>Blocks larger than they need be: {said}.</source>
   <translation>Druckstöcke größer als nötig: {said}.</translation>
  </message>
  <message>
   <source>Take it off before carving and keep the offcut; what seats in register and the grip border stay.</source>
   <translation>Vor dem Schneiden abnehmen und das Reststück aufheben; was anlegt und der Halterand bleiben.</translation>
  </message>
  <message>
   <source>{far} at the far edge</source>
   <translation>{far} an der fernen Kante</translation>
  </message>
  <message>
   <source>{side} at the side away from the corner</source>
   <translation>{side} an der Seite gegenüber der Ecke</translation>
  </message>
  <message>
   <source>planning the cutting of {name}</source>
   <translation>Schneiden von {name} wird geplant</translation>
  </message>
  <message>
   <source>The blocks curl by {curl_mm}: a curled block never registers.</source>
   <translation>Die Stöcke werfen sich um {curl_mm}: ein verworfener Stock passt nie.</translation>
  </message>
  <message>
   <source>Glue it to a flat board before it is cut.</source>
   <translation>Vor dem Schneiden auf eine plane Platte leimen.</translation>
  </message>
  <message>
   <source>Cut on both faces: {names}. Lino has its backing on the other face, which cannot be cut.</source>
   <translation>Beidseitig geschnitten: {names}. Linoleum hat auf der anderen Seite sein Gewebe, das sich nicht schneiden lässt.</translation>
  </message>
  <message>
   <source>Glue two pieces back to back, or take wood or vinyl without a backing.</source>
   <translation>Zwei Stücke Rücken an Rücken kleben, oder Holz oder Vinyl ohne Gewebe nehmen.</translation>
  </message>
  <message>
   <source>Glue it to board and clear to the backing, or mask broad ground.</source>
   <translation>Auf Platte leimen und bis auf die Unterlage räumen, oder breiten Grund abdecken.</translation>
  </message>
  <message>
   <source>Keep the others in the pack, no longer than {keeps_days} days in all: mould.</source>
   <translation>Die anderen im Stapel halten, insgesamt nicht länger als {keeps_days} Tage: Schimmel.</translation>
  </message>
  <message>
   <source>A card over inked parts while the sheet is seated.</source>
   <translation>Ein Karton über eingefärbten Teilen, während der Bogen angelegt wird.</translation>
  </message>
  <message>
   <source>Judge it on a white card, and look for what stuck to the block.</source>
   <translation>Auf weißem Karton beurteilen und nachsehen, was am Stock kleben blieb.</translation>
  </message>
  <message>
   <source>Blot the sheet first: lines want it drier than washes.</source>
   <translation>Den Bogen erst abtupfen: Linien wollen ihn trockener als Lavierungen.</translation>
  </message>
  <message>
   <source>Tape what slips.</source>
   <translation>Was rutscht, festkleben.</translation>
  </message>
  <message>
   <source>Block onto the paper, hold both, turn them over together, then rub.</source>
   <translation>Stock auf das Papier, beide halten, zusammen wenden, dann reiben.</translation>
  </message>
  <message>
   <source>Peek at one corner before lifting; peel slowly, from the far end.</source>
   <translation>Vor dem Abheben an einer Ecke nachsehen; langsam vom fernen Ende her abziehen.</translation>
  </message>
  <message>
   <source>Solvent: window open, gloves on.</source>
   <translation>Lösemittel: Fenster auf, Handschuhe an.</translation>
  </message>
  <message>
   <source>Oily rags go into a closed metal bin: they heat by themselves.</source>
   <translation>Ölige Lappen in einen geschlossenen Metalleimer: sie erhitzen sich von selbst.</translation>
  </message>
  <message>
   <source>Carbonate and dry pigment are fine powders: mask on, no draught.</source>
   <translation>Magnesiumcarbonat und trockene Pigmente sind feine Pulver: Maske auf, keine Zugluft.</translation>
  </message>
  <message>
   <source>Product sheets, local rules and trained people come first.</source>
   <translation>Produktblätter, örtliche Vorschriften und ausgebildete Leute gehen vor.</translation>
  </message>
  <message>
   <source>checking {name}</source>
   <translation>{name} wird geprüft</translation>
  </message>
  <message>
   <source>{need}{printed} printed: {sure} that {wanted} are reached. Cut away for good: {lost}. No sheet can be given these layers afterwards.</source>
   <translation>{need}{printed} gedruckt: {sure} Sicherheit, dass {wanted} erreicht werden. Endgültig weggeschnitten: {lost}. Kein Bogen kann diese Druckgänge danach noch bekommen.</translation>
  </message>
  <message>
   <source>{said}, and will spoil about {spoiled} of {good}.</source>
   <translation>{said}, und etwa {spoiled} von {good} gehen dabei verloren.</translation>
  </message>
  <message>
   <source>{needed} needed, </source>
   <translation>{needed} nötig, </translation>
  </message>
  <message>
   <source>under 1 %</source>
   <translation>unter 1 %</translation>
  </message>
  <message>
   <source>{percent:.0f} %</source>
   <translation>{percent:.0f} %</translation>
  </message>
  <message>
   <source>{name} brings the colours no nearer, ΔE {before} as before</source>
   <translation>{name} bringt die Farben nicht näher, ΔE {before} wie zuvor</translation>
  </message>
  <message>
   <source>{name} brings the colours from ΔE {before} to {after}</source>
   <translation>{name} bringt die Farben von ΔE {before} auf {after}</translation>
  </message>
  <message>
   <source>good sheet</source>
   <translation>guter Bogen</translation>
  </message>
  <message>
   <source>good sheets</source>
   <translation>gute Bogen</translation>
  </message>
  <message>
   <source>carries</source>
   <translation>trägt</translation>
  </message>
  <message>
   <source>carry</source>
   <translation>tragen</translation>
  </message>
  <message>
   <source>Layers that are printed would stand in another order than they were printed in.</source>
   <translation>Gedruckte Druckgänge stünden in anderer Folge, als sie gedruckt wurden.</translation>
  </message>
  <message>
   <source>sheet</source>
   <translation>Bogen</translation>
  </message>
  <message>
   <source>sheets</source>
   <translation>Bogen</translation>
  </message>
  <message>
   <source>The sheet or the image on it would change; {most} are printed on the old one.</source>
   <translation>Der Bogen oder das Bild darauf würde sich ändern; {most} sind auf dem alten gedruckt.</translation>
  </message>
  <message>
   <source>{sheets} already {carry} {name}, which would no longer be planned.</source>
   <translation>{sheets} {carry} schon {name}, was dann nicht mehr geplant wäre.</translation>
  </message>
  <message>
   <source>{first} would come below layers that are printed already.</source>
   <translation>{first} käme unter Druckgänge, die schon gedruckt sind.</translation>
  </message>
  <message>
   <source>{sheets} already {carry} {name} as it was inked; this would plan it otherwise.</source>
   <translation>{sheets} {carry} schon {name}, wie eingefärbt war; das würde es anders planen.</translation>
  </message>
  <message>
   <source>{sheets} already {carry} {name}; its block would print another shape.</source>
   <translation>{sheets} {carry} schon {name}; der Stock würde eine andere Form drucken.</translation>
  </message>
  <message>
   <source>One print of {edition}: {material}{minutes} minutes of work, cutting and washing up included.</source>
   <translation>Ein Druck von {edition}: {material}{minutes} Minuten Arbeit, Schneiden und Auswaschen eingerechnet.</translation>
  </message>
  <message>
   <source>{cost} of material and </source>
   <translation>{cost} an Material und </translation>
  </message>
  <message>
   <source>, the grain either way; {one_way} if it has to lie one way</source>
   <translation>, Laufrichtung beliebig; {one_way}, wenn sie gleich liegen muss</translation>
  </message>
  <message>
   <source>{name}, full sheets of {lengths_text}, {each} from one{grain}</source>
   <translation>{name}, ganze Bogen von {lengths_text}, {each} aus einem{grain}</translation>
  </message>
  <message>
   <source>Newsprint</source>
   <translation>Makulatur</translation>
  </message>
  <message>
   <source>, the grain all one way; {most} if it may lie either way</source>
   <translation>, Laufrichtung gleich; {most}, wenn sie beliebig liegen darf</translation>
  </message>
  <message>
   <source>{log} is the record of another print than {title}: move it away, or give it the name of its own print.</source>
   <translation>{log} ist das Protokoll eines anderen Drucks als {title}: aus dem Weg legen oder nach dem eigenen Druck benennen.</translation>
  </message>
  <message>
   <source>Ink {name}</source>
   <translation>Druckfarbe {name}</translation>
  </message>
  <message>
   <source>Modifiers</source>
   <translation>Zusätze</translation>
  </message>
  <message>
   <source>no longer planned</source>
   <translation>nicht mehr geplant</translation>
  </message>
  <message>
   <source>{kept}; {good:.0f} of 100 pulls good, {pull_min:g} min a pull.</source>
   <translation>{kept}; {good:.0f} von 100 Drucken gut, {pull_min:g} min je Druck.</translation>
  </message>
  <message>
   <source>{said} From {prints}, last {prints_2}.</source>
   <translation>{said} Aus {prints}, zuletzt {prints_2}.</translation>
  </message>
  <message>
   <source>papers</source>
   <translation>Papiere</translation>
  </message>
  <message>
   <source>inks</source>
   <translation>Druckfarben</translation>
  </message>
  <message>
   <source>board</source>
   <translation>Platte</translation>
  </message>
  <message>
   <source>boards</source>
   <translation>Platten</translation>
  </message>
  <message>
   <source>tool</source>
   <translation>Werkzeug</translation>
  </message>
  <message>
   <source>tools</source>
   <translation>Werkzeuge</translation>
  </message>
  <message>
   <source>prints</source>
   <translation>Drucke</translation>
  </message>
  <message>
   <source>A chart is of 1 to {most_inks} inks, not {chosen}; choose fewer of them.</source>
   <translation>Eine Tafel umfasst 1 bis {most_inks} Druckfarben, nicht {chosen}; weniger wählen.</translation>
  </message>
  <message>
   <source>The paper between the patches comes out uneven by ΔE {sure}: a shadow or a lamp's edge lies over the chart; take it in even light, away from your own shadow.</source>
   <translation>Das Papier zwischen den Feldern kommt um ΔE {sure} ungleich heraus: Ein Schatten oder der Rand eines Lampenlichts liegt über der Tafel; nimm sie in gleichmäßigem Licht auf, fern vom eigenen Schatten.</translation>
  </message>
  <message>
   <source>The chart's four black discs are not found; take all of it, flat and in focus.</source>
   <translation>Die vier schwarzen Scheiben der Tafel sind nicht zu finden; nimm sie ganz auf, flach und scharf.</translation>
  </message>
  <message>
   <source>how sure the colours are</source>
   <translation>wie sicher die Farben sind</translation>
  </message>
  <message>
   <source>how sure the overlaps are</source>
   <translation>wie sicher die Überdrucke sind</translation>
  </message>
  <message>
   <source>over</source>
   <translation>darüber</translation>
  </message>
  <message>
   <source>Tack must fall from wet layer to wet layer: {steps}.</source>
   <translation>Die Zügigkeit muss von nasser Schicht zu nasser Schicht fallen: {steps}.</translation>
  </message>
  <message>
   <source>, dry, then </source>
   <translation>, trocken, dann </translation>
  </message>
  <message>
   <source>Read at least {least_patches} patches of the chart beside the paper.</source>
   <translation>Mindestens {least_patches} Felder der Tafel neben dem Papier messen.</translation>
  </message>
  <message>
   <source>Give all patches as L, a, b or all as bands, not some of each.</source>
   <translation>Alle Felder als L, a, b oder alle als Bänder angeben, nicht gemischt.</translation>
  </message>
  <message>
   <source>front</source>
   <translation>Vorderseite</translation>
  </message>
  <message>
   <source>back</source>
   <translation>Rückseite</translation>
  </message>
  <message>
   <source>Width of the contour</source>
   <translation>Breite der Kontur</translation>
  </message>
  <message>
   <source>Of the line round every field that makes the key.</source>
   <translation>Der Linie um jedes Feld, die den Linienstock bildet.</translation>
  </message>
  <message>
   <source>The chosen block</source>
   <translation>Der gewählte Stock</translation>
  </message>
  <message>
   <source>This block alone may be of another material.</source>
   <translation>Nur dieser Stock darf aus anderem Material sein.</translation>
  </message>
  <message>
   <source>Contour</source>
   <translation>Kontur</translation>
  </message>
  <message>
   <source>The saw takes</source>
   <translation>Die Säge nimmt</translation>
  </message>
  <message>
   <source>How wide the cut is between the pieces of a jigsaw.</source>
   <translation>Wie breit der Schnitt zwischen den Teilen ist.</translation>
  </message>
  <message>
   <source>As all</source>
   <translation>Wie alle</translation>
  </message>
  <message>
   <source>Material of a block</source>
   <translation>Material eines Stocks</translation>
  </message>
  <message>
   <source>not sawn</source>
   <translation>nicht gesägt</translation>
  </message>
  <message>
   <source>Saw cut</source>
   <translation>Sägeschnitt</translation>
  </message>
  <message>
   <source>The image runs off the sheet: choose a larger sheet or smaller margins.</source>
   <translation>Das Bild läuft über den Bogen hinaus: einen größeren Bogen oder kleinere Ränder wählen.</translation>
  </message>
  <message>
   <source>A working day must end after it begins.</source>
   <translation>Ein Arbeitstag muss nach seinem Beginn enden.</translation>
  </message>
  <message>
   <source>At least one day of the week must be a working day.</source>
   <translation>Mindestens ein Tag der Woche muss Arbeitstag sein.</translation>
  </message>
  <message>
   <source>The first zone covers what the others leave.</source>
   <translation>Die erste Zone bedeckt, was die anderen übrig lassen.</translation>
  </message>
  <message>
   <source>Every further zone needs colours or a place of its own.</source>
   <translation>Jede weitere Zone braucht Farben oder einen eigenen Platz.</translation>
  </message>
  <message>
   <source>Ink at least one zone, or leave the pull out.</source>
   <translation>Mindestens eine Zone einfärben oder den Druckgang weglassen.</translation>
  </message>
  <message>
   <source>A zone drawn by hand is a closed outline of 3 points or more on the sheet.</source>
   <translation>Eine von Hand gezeichnete Zone ist ein geschlossener Umriss aus mindestens 3 Punkten auf dem Bogen.</translation>
  </message>
  <message>
   <source>Only what is wiped off has a soft edge.</source>
   <translation>Nur Abgewischtes hat einen weichen Rand.</translation>
  </message>
  <message>
   <source>{name} has a colour that cannot be: L* must be 0 to 100, a* and b* −200 to 200.</source>
   <translation>{name} hat eine unmögliche Farbe: L* muss 0 bis 100 sein, a* und b* −200 bis 200.</translation>
  </message>
  <message>
   <source>Cost and tub of {name} cannot be below nothing.</source>
   <translation>Preis und Dose von {name} können nicht unter null liegen.</translation>
  </message>
  <message>
   <source>A spectrum holds values that cannot be.</source>
   <translation>Ein Spektrum enthält unmögliche Werte.</translation>
  </message>
  <message>
   <source>Two of the {field} have the same id.</source>
   <translation>Zwei der Einträge in {field} haben dieselbe Kennung.</translation>
  </message>
  <message>
   <source>The line or the paper is a colour that is not there.</source>
   <translation>Linie oder Papier ist eine Farbe, die es nicht gibt.</translation>
  </message>
  <message>
   <source>Block {name} prints a colour that the design does not have.</source>
   <translation>Stock {name} druckt eine Farbe, die der Entwurf nicht hat.</translation>
  </message>
  <message>
   <source>An impression is of a block that is not there.</source>
   <translation>Ein Druckgang gehört zu einem Stock, den es nicht gibt.</translation>
  </message>
  <message>
   <source>A correction lies nowhere that can be.</source>
   <translation>Eine Berichtigung liegt an keiner möglichen Stelle.</translation>
  </message>
  <message>
   <source>A block can be tried up to {largest_shift_mm} and {largest_turn_deg:g}° out of register.</source>
   <translation>Ein Stock lässt sich bis {largest_shift_mm} und {largest_turn_deg:g}° verschoben probieren.</translation>
  </message>
  <message>
   <source>An impression uses an ink that is not there.</source>
   <translation>Ein Druckgang nutzt eine Druckfarbe, die es nicht gibt.</translation>
  </message>
  <message>
   <source>A zone covers a colour that the design does not have.</source>
   <translation>Eine Zone bedeckt eine Farbe, die der Entwurf nicht hat.</translation>
  </message>
  <message>
   <source>A graded zone needs two different places on the sheet.</source>
   <translation>Eine verlaufende Zone braucht zwei verschiedene Stellen auf dem Bogen.</translation>
  </message>
  <message>
   <source>{day} is not a date; write it as 2026-12-01.</source>
   <translation>{day} ist kein Datum; schreiben: 2026-12-01.</translation>
  </message>
  <message>
   <source>No paper or ink can have the colour asked of {name}: take a less saturated one.</source>
   <translation>Kein Papier und keine Druckfarbe kann die von {name} verlangte Farbe haben: eine weniger gesättigte nehmen.</translation>
  </message>
  <message>
   <source>Material</source>
   <translation>Material</translation>
  </message>
  <message>
   <source>What the blocks are of: it decides which lines hold.</source>
   <translation>Woraus die Stöcke sind: davon hängt ab, welche Linien halten.</translation>
  </message>
  <message>
   <source>Thickness</source>
   <translation>Dicke</translation>
  </message>
  <message>
   <source>Of block or board.</source>
   <translation>Von Stock oder Platte.</translation>
  </message>
  <message>
   <source>Curl</source>
   <translation>Verwerfung</translation>
  </message>
  <message>
   <source>How far the block stands off the bed at its worst.</source>
   <translation>Wie weit der Stock an der schlimmsten Stelle vom Bett absteht.</translation>
  </message>
  <message>
   <source>Roller, diameter</source>
   <translation>Walze, Durchmesser</translation>
  </message>
  <message>
   <source>A larger roller dips less into cleared ground.</source>
   <translation>Eine größere Walze taucht weniger in ausgeräumten Grund.</translation>
  </message>
  <message>
   <source>Roller, length</source>
   <translation>Walze, Länge</translation>
  </message>
  <message>
   <source>Longer than a gap is wide, a roller is carried across it.</source>
   <translation>Ist eine Walze länger als eine Lücke breit, wird sie darüber getragen.</translation>
  </message>
  <message>
   <source>Roller, hardness</source>
   <translation>Walze, Härte</translation>
  </message>
  <message>
   <source>Shore A; a harder roller dips less.</source>
   <translation>Shore A; eine härtere Walze taucht weniger ein.</translation>
  </message>
  <message>
   <source>Way of transfer</source>
   <translation>Art der Übertragung</translation>
  </message>
  <message>
   <source>How the drawing comes onto the block.</source>
   <translation>Wie die Zeichnung auf den Stock kommt.</translation>
  </message>
  <message>
   <source>Kerf of the saw</source>
   <translation>Schnittspalt der Säge</translation>
  </message>
  <message>
   <source>How wide the saw cuts: white lines between the pieces of a jigsaw.</source>
   <translation>Wie breit die Säge schneidet: weiße Linien zwischen den Teilen eines Puzzledrucks.</translation>
  </message>
  <message>
   <source>Leave the border to hold it by</source>
   <translation>Den Rand zum Halten lassen</translation>
  </message>
  <message>
   <source>Wood outside the image stays, to hold the block by.</source>
   <translation>Holz außerhalb des Bildes bleibt stehen, um den Stock daran zu halten.</translation>
  </message>
  <message>
   <source>Slower than reckoned</source>
   <translation>Langsamer als gerechnet</translation>
  </message>
  <message>
   <source>Your own pace against the usual one; it grows from what blocks took.</source>
   <translation>Das eigene Tempo gegen das übliche; es wächst aus dem, was Stöcke brauchten.</translation>
  </message>
  <message>
   <source>times</source>
   <translation>mal</translation>
  </message>
  <message>
   <source>So many sheets are numbered and signed.</source>
   <translation>So viele Bogen werden nummeriert und unterschrieben.</translation>
  </message>
  <message>
   <source>Artist's proofs</source>
   <translation>Künstlerexemplare</translation>
  </message>
  <message>
   <source>Beside the edition, for the artist.</source>
   <translation>Neben der Auflage, für die Künstlerin oder den Künstler.</translation>
  </message>
  <message>
   <source>Printer's proofs</source>
   <translation>Druckerexemplare</translation>
  </message>
  <message>
   <source>Beside the edition, for who prints it.</source>
   <translation>Neben der Auflage, für die Druckerin oder den Drucker.</translation>
  </message>
  <message>
   <source>A sheet to match</source>
   <translation>Ein Bogen als Vorlage</translation>
  </message>
  <message>
   <source>The BAT, which the edition must match.</source>
   <translation>Der Gutzumdruck (BAT), dem die Auflage gleichen muss.</translation>
  </message>
  <message>
   <source>Sheets for proofing</source>
   <translation>Bogen für Probedrucke</translation>
  </message>
  <message>
   <source>Good paper spent until the print is right.</source>
   <translation>Gutes Papier, bis der Druck stimmt.</translation>
  </message>
  <message>
   <source>One bad sheet for every layer</source>
   <translation>Ein schlechter Bogen je Druckgang</translation>
  </message>
  <message>
   <source>The first pull of a layer is poor: a sheet is given up for it.</source>
   <translation>Der erste Druck eines Ganges ist mager: dafür wird ein Bogen geopfert.</translation>
  </message>
  <message>
   <source>A varied edition</source>
   <translation>Eine variierte Auflage</translation>
  </message>
  <message>
   <source>Sheets differ on purpose, and are numbered so</source>
   <translation>Bogen unterscheiden sich absichtlich und werden so nummeriert</translation>
  </message>
  <message>
   <source>A pull is good with</source>
   <translation>Ein Druck gelingt mit</translation>
  </message>
  <message>
   <source>How many of a hundred pulls come out good: yours grow from the record.</source>
   <translation>Wie viele von hundert Drucken gut werden: die eigenen wachsen aus dem Protokoll.</translation>
  </message>
  <message>
   <source>Sure to</source>
   <translation>Sicher zu</translation>
  </message>
  <message>
   <source>How sure it is to be that enough good sheets are left at the end.</source>
   <translation>Wie sicher am Ende genug gute Bogen übrig sein sollen.</translation>
  </message>
  <message>
   <source>Full sheet</source>
   <translation>Ganzer Bogen</translation>
  </message>
  <message>
   <source>Of the sheets the paper is sold in.</source>
   <translation>Der Bogen, in denen das Papier verkauft wird.</translation>
  </message>
  <message>
   <source>A full sheet costs</source>
   <translation>Ein ganzer Bogen kostet</translation>
  </message>
  <message>
   <source>Its price, for the list to buy from.</source>
   <translation>Sein Preis, für die Einkaufsliste.</translation>
  </message>
  <message>
   <source>A sheet of newsprint</source>
   <translation>Ein Bogen Makulatur</translation>
  </message>
  <message>
   <source>Its price, for proofs and first pulls.</source>
   <translation>Sein Preis, für Probe- und erste Drucke.</translation>
  </message>
  <message>
   <source>Full sheet, width</source>
   <translation>Ganzer Bogen, Breite</translation>
  </message>
  <message>
   <source>Full sheet, height</source>
   <translation>Ganzer Bogen, Höhe</translation>
  </message>
  <message>
   <source>will fail</source>
   <translation>wird misslingen</translation>
  </message>
  <message>
   <source>could show</source>
   <translation>könnte sichtbar sein</translation>
  </message>
  <message>
   <source>worth knowing</source>
   <translation>wissenswert</translation>
  </message>
  <message>
   <source>design</source>
   <translation>Entwurf</translation>
  </message>
  <message>
   <source>register</source>
   <translation>Passer</translation>
  </message>
  <message>
   <source>carve</source>
   <translation>schneiden</translation>
  </message>
  <message>
   <source>bench</source>
   <translation>Werkbank</translation>
  </message>
  <message>
   <source>{name} holds a {what} of more than {most} MB and is not opened.</source>
   <translation>{name} enthält ein {what} von mehr als {most} MB und wird nicht geöffnet.</translation>
  </message>
  <message>
   <source>{name} was made by a newer Nomos (format {version}); open it with that one.</source>
   <translation>{name} stammt von einem neueren Nomos (Format {version}); damit öffnen.</translation>
  </message>
  <message>
   <source>{name} says that it is of format {version}, and there is none.</source>
   <translation>{name} nennt das Format {version}, und das gibt es nicht.</translation>
  </message>
  <message>
   <source>{name} holds a {what} that does not make sense: {reason}</source>
   <translation>{name} enthält Unsinniges ({what}): {reason}</translation>
  </message>
  <message>
   <source>Graded inking</source>
   <translation>Verlaufend einfärben</translation>
  </message>
  <message>
   <source>To</source>
   <translation>Bis</translation>
  </message>
  <message>
   <source>The strength at the end of the grading.</source>
   <translation>Die Stärke am Ende des Verlaufs.</translation>
  </message>
  <message>
   <source>Bends by, 1 is even</source>
   <translation>Krümmung, 1 ist gleichmäßig</translation>
  </message>
  <message>
   <source>More stays longer at the start, less at the end.</source>
   <translation>Mehr bleibt länger am Anfang, weniger am Ende.</translation>
  </message>
  <message>
   <source>Two-ended</source>
   <translation>Zweiseitig</translation>
  </message>
  <message>
   <source>From the end back to the start again.</source>
   <translation>Vom Ende wieder zurück zum Anfang.</translation>
  </message>
  <message>
   <source>Which edges</source>
   <translation>Welche Kanten</translation>
  </message>
  <message>
   <source>The grading follows every edge, or leaves holes and specks alone.</source>
   <translation>Der Verlauf folgt jeder Kante oder lässt Löcher und Flecken aus.</translation>
  </message>
  <message>
   <source>Strength</source>
   <translation>Stärke</translation>
  </message>
  <message>
   <source>How much of it is ink; the rest is extender.</source>
   <translation>Wie viel davon Farbe ist; der Rest ist Verschnitt.</translation>
  </message>
  <message>
   <source>Film</source>
   <translation>Film</translation>
  </message>
  <message>
   <source>How much ink is on the roller.</source>
   <translation>Wie viel Farbe auf der Walze ist.</translation>
  </message>
  <message>
   <source>Soft edge of the wiping</source>
   <translation>Weicher Rand beim Abwischen</translation>
  </message>
  <message>
   <source>Over how much of its edge the ink fades.</source>
   <translation>Über welche Breite die Farbe am Rand ausläuft.</translation>
  </message>
  <message>
   <source>Put on with</source>
   <translation>Aufgetragen mit</translation>
  </message>
  <message>
   <source>Roller, brush or other tool for this zone.</source>
   <translation>Walze, Pinsel oder anderes Werkzeug für diese Zone.</translation>
  </message>
  <message>
   <source>What it goes onto</source>
   <translation>Worauf gedruckt wird</translation>
  </message>
  <message>
   <source>On wet ink less of this one takes.</source>
   <translation>Auf nasser Farbe haftet von dieser weniger.</translation>
  </message>
  <message>
   <source>Printed with</source>
   <translation>Gedruckt mit</translation>
  </message>
  <message>
   <source>Press, baren, spoon or foot.</source>
   <translation>Presse, Baren, Löffel oder Fuß.</translation>
  </message>
  <message>
   <source>Block onto paper, both turned over</source>
   <translation>Stock auf Papier, beides gewendet</translation>
  </message>
  <message>
   <source>The block lies face down on the paper for this pull.</source>
   <translation>Der Stock liegt bei diesem Druckgang mit der Druckfläche nach unten auf dem Papier.</translation>
  </message>
  <message>
   <source>Width along the edge</source>
   <translation>Breite am Rand entlang</translation>
  </message>
  <message>
   <source>Over this width the ink grades from the block's own edge.</source>
   <translation>Über diese Breite verläuft die Farbe von der Kante des Stocks aus.</translation>
  </message>
  <message>
   <source>Inking</source>
   <translation>Einfärben</translation>
  </message>
  <message>
   <source>Wet or dry</source>
   <translation>Nass oder trocken</translation>
  </message>
  <message>
   <source>Ink trapping, measured</source>
   <translation>Farbannahme, gemessen</translation>
  </message>
  <message>
   <source>How much of this ink takes on the wet one below, if it was measured.</source>
   <translation>Wie viel dieser Farbe auf der nassen darunter angenommen wird, falls gemessen.</translation>
  </message>
  <message>
   <source>as usual</source>
   <translation>wie üblich</translation>
  </message>
  <message>
   <source>Way of printing</source>
   <translation>Art zu drucken</translation>
  </message>
  <message>
   <source>Sheets of packing</source>
   <translation>Bogen Aufzug</translation>
  </message>
  <message>
   <source>Sheets between tympan and paper for this pull.</source>
   <translation>Bogen zwischen Pressdeckel und Papier für diesen Druckgang.</translation>
  </message>
  <message>
   <source>not along the edge</source>
   <translation>nicht an der Kante</translation>
  </message>
  <message>
   <source>Every edge</source>
   <translation>Jeder Rand</translation>
  </message>
  <message>
   <source>Outer edge only</source>
   <translation>Nur der äußere Rand</translation>
  </message>
  <message>
   <source>On dry ink</source>
   <translation>Auf trockene Farbe</translation>
  </message>
  <message>
   <source>On wet ink</source>
   <translation>Auf nasse Farbe</translation>
  </message>
  <message>
   <source>worked out</source>
   <translation>errechnet</translation>
  </message>
  <message>
   <source>{word} film</source>
   <translation>Film: {word}</translation>
  </message>
  <message>
   <source>carbonate</source>
   <translation>Magnesiumcarbonat</translation>
  </message>
  <message>
   <source>Its pigment</source>
   <translation>Ihr Pigment</translation>
  </message>
  <message>
   <source>Of an ink known by its colour: which pigments it is likely to hold decides what it shows thinned and over others.</source>
   <translation>Bei einer nach ihrer Farbe bekannten Druckfarbe: Welche Pigmente sie wohl enthält, entscheidet, was sie verdünnt und über anderen zeigt.</translation>
  </message>
  <message>
   <source>Vehicle</source>
   <translation>Bindemittel</translation>
  </message>
  <message>
   <source>What the ink dries by.</source>
   <translation>Woran die Farbe trocknet.</translation>
  </message>
  <message>
   <source>Tack, 0 loose to 10 tight</source>
   <translation>Zügigkeit, 0 locker bis 10 zäh</translation>
  </message>
  <message>
   <source>How the ink pulls between knife and slab, against the others.</source>
   <translation>Wie die Farbe zwischen Messer und Platte zieht, gegen die anderen.</translation>
  </message>
  <message>
   <source>Overprint after</source>
   <translation>Überdruckbar nach</translation>
  </message>
  <message>
   <source>Hours before the next layer may go onto this ink.</source>
   <translation>Stunden, bis der nächste Druckgang auf diese Farbe darf.</translation>
  </message>
  <message>
   <source>Worked into it, of the whole</source>
   <translation>Eingearbeitet, vom Ganzen</translation>
  </message>
  <message>
   <source>How much oil or carbonate has been worked in.</source>
   <translation>Wie viel Öl oder Magnesiumcarbonat eingearbeitet wurde.</translation>
  </message>
  <message>
   <source>What is worked in</source>
   <translation>Was eingearbeitet ist</translation>
  </message>
  <message>
   <source>Oil makes the ink looser, carbonate stiffer. Do not breathe the powder.</source>
   <translation>Öl macht die Farbe geschmeidiger, Karbonat zäher. Das Pulver nicht einatmen.</translation>
  </message>
  <message>
   <source>the likeliest</source>
   <translation>das wahrscheinlichste</translation>
  </message>
  <message>
   <source>Oil</source>
   <translation>Öl</translation>
  </message>
  <message>
   <source>Carbonate</source>
   <translation>Carbonat</translation>
  </message>
  <message>
   <source>Paste, other</source>
   <translation>Paste, anderes</translation>
  </message>
  <message>
   <source>A name cannot be empty.</source>
   <translation>Ein Name darf nicht leer sein.</translation>
  </message>
  <message>
   <source>cream</source>
   <translation>creme</translation>
  </message>
  <message>
   <source>kraft</source>
   <translation>Kraft</translation>
  </message>
  <message>
   <source>dark</source>
   <translation>dunkel</translation>
  </message>
  <message>
   <source>height</source>
   <translation>Höhe</translation>
  </message>
  <message>
   <source>width</source>
   <translation>Breite</translation>
  </message>
  <message>
   <source>Sheet width</source>
   <translation>Bogenbreite</translation>
  </message>
  <message>
   <source>Of the paper that is printed on.</source>
   <translation>Des Papiers, auf das gedruckt wird.</translation>
  </message>
  <message>
   <source>Sheet height</source>
   <translation>Bogenhöhe</translation>
  </message>
  <message>
   <source>Face of the paper</source>
   <translation>Seite des Papiers</translation>
  </message>
  <message>
   <source>On a smooth face a solid covers all of the paper, on a rough one hollows stay open.</source>
   <translation>Auf der glatten Seite deckt eine Fläche das ganze Papier, auf der rauen bleiben Vertiefungen offen.</translation>
  </message>
  <message>
   <source>Kind of paper</source>
   <translation>Art des Papiers</translation>
  </message>
  <message>
   <source>On a coated paper inks keep their strength; into an absorbent one they sink and are duller.</source>
   <translation>Auf gestrichenem Papier behalten Farben ihre Kraft; in saugendes sinken sie ein und sind stumpfer.</translation>
  </message>
  <message>
   <source>Grain</source>
   <translation>Laufrichtung</translation>
  </message>
  <message>
   <source>The paper grows most across its grain.</source>
   <translation>Das Papier wächst am meisten quer zur Laufrichtung.</translation>
  </message>
  <message>
   <source>Growth when damp</source>
   <translation>Wachstum, feucht</translation>
  </message>
  <message>
   <source>How much the paper grows when it is damped: more across its grain than along it.</source>
   <translation>Wie viel das Papier beim Feuchten wächst: quer zur Laufrichtung mehr als längs.</translation>
  </message>
  <message>
   <source>Weight</source>
   <translation>Gewicht</translation>
  </message>
  <message>
   <source>Of the paper, grams a square metre.</source>
   <translation>Des Papiers, Gramm je Quadratmeter.</translation>
  </message>
  <message>
   <source>not known</source>
   <translation>unbekannt</translation>
  </message>
  <message>
   <source>Grain runs up</source>
   <translation>Laufrichtung hoch</translation>
  </message>
  <message>
   <source>Grain runs across</source>
   <translation>Laufrichtung quer</translation>
  </message>
  <message>
   <source>Damp, along the grain</source>
   <translation>Feucht, in Laufrichtung</translation>
  </message>
  <message>
   <source>Damp, across it</source>
   <translation>Feucht, quer dazu</translation>
  </message>
  <message>
   <source>{word} face</source>
   <translation>Oberfläche: {word}</translation>
  </message>
  <message>
   <source>eye</source>
   <translation>Auge</translation>
  </message>
  <message>
   <source>marks</source>
   <translation>Marken</translation>
  </message>
  <message>
   <source>scan</source>
   <translation>Scan</translation>
  </message>
  <message>
   <source>Trap: lighter under darker</source>
   <translation>Überfüllung: heller unter dunkler</translation>
  </message>
  <message>
   <source>How far the lighter colour runs under the darker, so that no gap opens.</source>
   <translation>Wie weit die hellere Farbe unter die dunklere läuft, damit nichts aufblitzt.</translation>
  </message>
  <message>
   <source>A dark seam may show up to</source>
   <translation>Eine dunkle Naht darf auffallen bis</translation>
  </message>
  <message>
   <source>Up to this ΔE an overlap is taken before a gap; above it the two only kiss.</source>
   <translation>Bis zu diesem ΔE wird lieber überlappt als ein Blitzer riskiert; darüber stehen beide nur auf Stoß.</translation>
  </message>
  <message>
   <source>Sheets meet blocks within</source>
   <translation>Bogen treffen Stöcke auf</translation>
  </message>
  <message>
   <source>How far sheets may lie from their place, as you know your hand.</source>
   <translation>Wie weit Bogen von ihrem Platz liegen dürfen, nach eigener Erfahrung.</translation>
  </message>
  <message>
   <source>{name}, pass {index}</source>
   <translation>{name}, Gang {index}</translation>
  </message>
  <message>
   <source>Trap</source>
   <translation>Überfüllung</translation>
  </message>
  <message>
   <source>Seam</source>
   <translation>Naht</translation>
  </message>
  <message>
   <source>Tolerance</source>
   <translation>Toleranz</translation>
  </message>
  <message>
   <source>Thinnest line that holds</source>
   <translation>Dünnste haltende Linie</translation>
  </message>
  <message>
   <source>Thinner printing lines are pointed out, and kept off your blocks.</source>
   <translation>Dünnere druckende Linien werden gezeigt und von den Stöcken ferngehalten.</translation>
  </message>
  <message>
   <source>Narrowest channel</source>
   <translation>Schmalster Kanal</translation>
  </message>
  <message>
   <source>Channels narrower than this are pointed out.</source>
   <translation>Schmalere Kanäle werden gezeigt.</translation>
  </message>
  <message>
   <source>by the material</source>
   <translation>nach dem Material</translation>
  </message>
  <message>
   <source>Fineness</source>
   <translation>Feinheit</translation>
  </message>
  <message>
   <source>by material and tools</source>
   <translation>nach Material und Werkzeug</translation>
  </message>
  <message>
   <source>{cut} sheets: {wanted} good ones wanted; of 100 pulls {good} come out good, so through {layers} layers {survive} sheets of 100, and {start} are begun to be {sure} % sure of enough{more}.</source>
   <translation>{cut} Bogen: {wanted} gute werden gebraucht; von 100 Abzügen gelingen {good}, durch {layers} Schichten also {survive} von 100 Bogen, und {start} werden begonnen, damit es zu {sure} % reicht{more}.</translation>
  </message>
  <message>
   <source>{sheets} sheets, as you said.</source>
   <translation>{sheets} Bogen, wie du es gesagt hast.</translation>
  </message>
  <message>
   <source>{proofing} for proofing</source>
   <translation>{proofing} zum Andrucken</translation>
  </message>
  <message>
   <source>{layers} first pulls of a layer</source>
   <translation>{layers} erste Abzüge einer Schicht</translation>
  </message>
  <message>
   <source>A block changed by hand does not fit the design; work the block out anew from the colours.</source>
   <translation>Ein von Hand geänderter Stock passt nicht zum Entwurf; den Stock aus den Farben neu ausarbeiten.</translation>
  </message>
  <message>
   <source>The flat design inside the project</source>
   <translation>Der flächige Entwurf im Projekt</translation>
  </message>
  <message>
   <source>A block changed by hand inside the project</source>
   <translation>Ein von Hand geänderter Stock im Projekt</translation>
  </message>
  <message>
   <source>Nomos project</source>
   <translation>Nomos-Projekt</translation>
  </message>
  <message>
   <source>{name} could not be saved ({reason}); what was there before is untouched.</source>
   <translation>{name} konnte nicht gespeichert werden ({reason}); was vorher da war, ist unversehrt.</translation>
  </message>
  <message>
   <source>The flat design inside the project is damaged; flatten the design again.</source>
   <translation>Der flächige Entwurf im Projekt ist beschädigt; den Entwurf noch einmal auf Flächen bringen.</translation>
  </message>
  <message>
   <source>There is no flat design yet: open a picture and flatten it first.</source>
   <translation>Es gibt noch keinen flächigen Entwurf: ein Bild öffnen und auf Flächen bringen.</translation>
  </message>
  <message>
   <source>; the copy before it is {name}</source>
   <translation>; die Fassung davor ist {name}</translation>
  </message>
  <message>
   <source>{name} is damaged or not a Nomos project{advice}.</source>
   <translation>{name} ist beschädigt oder kein Nomos-Projekt{advice}.</translation>
  </message>
  <message>
   <source>{name} is damaged: a picture inside it has changed.</source>
   <translation>{name} ist beschädigt: ein Bild darin hat sich geändert.</translation>
  </message>
  <message>
   <source>{name} is damaged: its flat design has more colours than its list.</source>
   <translation>{name} ist beschädigt: der flächige Entwurf hat mehr Farben als die Liste.</translation>
  </message>
  <message>
   <source>Way of working</source>
   <translation>Arbeitsweise</translation>
  </message>
  <message>
   <source>How much of it changes the tack of an ink by one step.</source>
   <translation>Wie viel davon die Zügigkeit einer Farbe um eine Stufe ändert.</translation>
  </message>
  <message>
   <source>impressions</source>
   <translation>Drucke</translation>
  </message>
  <message>
   <source>Room between them</source>
   <translation>Abstand dazwischen</translation>
  </message>
  <message>
   <source>How far apart two zones of one block are at least, to be inked apart.</source>
   <translation>Wie weit zwei Zonen eines Stocks mindestens auseinanderliegen, um getrennt eingefärbt zu werden.</translation>
  </message>
  <message>
   <source>Inked before the first dries</source>
   <translation>Eingefärbt, bevor die erste trocknet</translation>
  </message>
  <message>
   <source>So many inks can be put on one block before the first of them dries.</source>
   <translation>So viele Druckfarben lassen sich auf einen Stock bringen, bevor die erste trocknet.</translation>
  </message>
  <message>
   <source>Border to hold it by</source>
   <translation>Rand zum Halten</translation>
  </message>
  <message>
   <source>Around a sawn block, to hold it and its pieces by.</source>
   <translation>Um einen gesägten Stock, um ihn und seine Teile zu halten.</translation>
  </message>
  <message>
   <source>Narrowest neck</source>
   <translation>Schmalster Hals</translation>
  </message>
  <message>
   <source>A piece narrower than this at one place breaks there.</source>
   <translation>Ein Teil, das an einer Stelle schmaler ist, bricht dort.</translation>
  </message>
  <message>
   <source>The drawing comes onto the blocks by</source>
   <translation>Die Zeichnung kommt auf die Stöcke durch</translation>
  </message>
  <message>
   <source>Pull the key's line onto every colour block, or draw every block from one tracing.</source>
   <translation>Den Linienstock auf jeden Farbstock abziehen oder jeden Stock nach einer Pause zeichnen.</translation>
  </message>
  <message>
   <source>A board is turned over</source>
   <translation>Ein Brett wird gewendet</translation>
  </message>
  <message>
   <source>How it comes to lie on its other face.</source>
   <translation>Wie es auf die andere Seite kommt.</translation>
  </message>
  <message>
   <source>A board is untrue by</source>
   <translation>Eine Platte weicht ab um</translation>
  </message>
  <message>
   <source>How far an edge is out of square or parallel, over its length: measure it.</source>
   <translation>Wie weit eine Kante aus dem Winkel oder nicht parallel ist, über ihre Länge: nachmessen.</translation>
  </message>
  <message>
   <source>The plate is cut right through</source>
   <translation>Die Platte wird ganz durchgeschnitten</translation>
  </message>
  <message>
   <source>A reduction's board is not carved: parts come loose.</source>
   <translation>Die Platte einer Reduktion wird nicht ausgehoben: Teile lösen sich.</translation>
  </message>
  <message>
   <source>A solid film holds</source>
   <translation>Ein Vollton trägt</translation>
  </message>
  <message>
   <source>Grams of ink on a square metre of a solid film.</source>
   <translation>Gramm Farbe auf einem Quadratmeter Vollton.</translation>
  </message>
  <message>
   <source>Lost</source>
   <translation>Verlust</translation>
  </message>
  <message>
   <source>Ink that never reaches the block, of all that is put out.</source>
   <translation>Farbe, die den Stock nie erreicht, von allem, was ausgelegt wird.</translation>
  </message>
  <message>
   <source>Oil for a step of tack</source>
   <translation>Öl für eine Stufe Zügigkeit</translation>
  </message>
  <message>
   <source>Carbonate for a step of tack</source>
   <translation>Karbonat für eine Stufe Zügigkeit</translation>
  </message>
  <message>
   <source>Sheets, bad ones too</source>
   <translation>Bogen, auch schlechte</translation>
  </message>
  <message>
   <source>Pulls of every block, with bad ones and proofs.</source>
   <translation>Drucke von jedem Stock, mit verdorbenen und Probedrucken.</translation>
  </message>
  <message>
   <source>Left on slab and tool</source>
   <translation>Rest auf Platte und Werkzeug</translation>
  </message>
  <message>
   <source>Ink that stands on slab and tool after a run and prints no sheet.</source>
   <translation>Farbe, die nach einem Lauf auf Platte und Werkzeug bleibt und keinen Bogen druckt.</translation>
  </message>
  <message>
   <source>Impressions of the key</source>
   <translation>Abdrucke der Linien</translation>
  </message>
  <message>
   <source>One tracing</source>
   <translation>Eine Pause</translation>
  </message>
  <message>
   <source>as the edition needs</source>
   <translation>wie die Auflage braucht</translation>
  </message>
  <message>
   <source>Sheets</source>
   <translation>Bogen</translation>
  </message>
  <message>
   <source>by the tool</source>
   <translation>nach dem Werkzeug</translation>
  </message>
  <message>
   <source>trying every order</source>
   <translation>alle Reihenfolgen werden versucht</translation>
  </message>
  <message>
   <source>{error} Make the day longer, or things shorter.</source>
   <translation>{error} Den Tag verlängern oder die Dinge verkürzen.</translation>
  </message>
  <message>
   <source>No rule</source>
   <translation>Keine Regel</translation>
  </message>
  <message>
   <source>Every order is tried; the colours decide.</source>
   <translation>Jede Folge wird probiert; die Farben entscheiden.</translation>
  </message>
  <message>
   <source>Light to dark, key last</source>
   <translation>Hell nach dunkel, Linien zuletzt</translation>
  </message>
  <message>
   <source>The usual rule: a darker ink covers a lighter one's edge.</source>
   <translation>Die übliche Regel: eine dunklere Farbe deckt den Rand der helleren.</translation>
  </message>
  <message>
   <source>Key first, as the guide</source>
   <translation>Linien zuerst, als Anhalt</translation>
  </message>
  <message>
   <source>It shows where colours go; transparent ones knock it back.</source>
   <translation>Sie zeigen, wohin die Farben gehören; durchscheinende nehmen sie zurück.</translation>
  </message>
  <message>
   <source>Yellow late</source>
   <translation>Gelb spät</translation>
  </message>
  <message>
   <source>Yellow is easily overwhelmed; printed late it keeps its light.</source>
   <translation>Gelb geht leicht unter; spät gedruckt, behält es sein Licht.</translation>
  </message>
  <message>
   <source>Line under a transparent colour</source>
   <translation>Linie unter durchscheinender Farbe</translation>
  </message>
  <message>
   <source>The last transparent colour lies over the lines and softens them.</source>
   <translation>Die letzte durchscheinende Farbe liegt über den Linien und mildert sie.</translation>
  </message>
  <message>
   <source>best colour</source>
   <translation>beste Farbe</translation>
  </message>
  <message>
   <source>fewest days</source>
   <translation>wenigste Tage</translation>
  </message>
  <message>
   <source>fewest wash-ups</source>
   <translation>wenigste Waschgänge</translation>
  </message>
  <message>
   <source>hides misregister</source>
   <translation>verbirgt Passerfehler</translation>
  </message>
  <message>
   <source>the usual order</source>
   <translation>die übliche Folge</translation>
  </message>
  <message>
   <source>The pulls have changed meanwhile; look for orders again.</source>
   <translation>Die Druckgänge haben sich inzwischen geändert; noch einmal Folgen suchen.</translation>
  </message>
  <message>
   <source>Rules and pins leave no order at all; take one of them back.</source>
   <translation>Regeln und feste Plätze lassen keine Folge übrig; etwas davon zurücknehmen.</translation>
  </message>
  <message>
   <source>counting wash-ups and days</source>
   <translation>Waschgänge und Tage werden gezählt</translation>
  </message>
  <message>
   <source>one</source>
   <translation>einer</translation>
  </message>
  <message>
   <source>other</source>
   <translation>anderer</translation>
  </message>
  <message>
   <source>split</source>
   <translation>geteilt</translation>
  </message>
  <message>
   <source>difference</source>
   <translation>Unterschied</translation>
  </message>
  <message>
   <source>The colour holds, mean ΔE {first:.1f} to {last:.1f} from the plan.</source>
   <translation>Die Farbe hält sich, mittleres ΔE {first:.1f} bis {last:.1f} vom Plan.</translation>
  </message>
  <message>
   <source>{marks} to cut away: {said}.</source>
   <translation>{marks} wegzuschneiden: {said}.</translation>
  </message>
  <message>
   <source>The colour moves off the plan, mean ΔE {first:.1f} to {last:.1f}: roll out afresh.</source>
   <translation>Die Farbe läuft vom Plan weg, mittleres ΔE {first:.1f} bis {last:.1f}: frisch auswalzen.</translation>
  </message>
  <message>
   <source>No stray marks: nothing is left to cut away.</source>
   <translation>Keine Fremdspuren: es bleibt nichts wegzuschneiden.</translation>
  </message>
  <message>
   <source>{area_mm2} mm² at {lengths_text}, by its colour on {ink}</source>
   <translation>{area_mm2} mm² bei {lengths_text}, der Farbe nach auf {ink}</translation>
  </message>
  <message>
   <source>stray mark</source>
   <translation>Fremdspur</translation>
  </message>
  <message>
   <source>stray marks</source>
   <translation>Fremdspuren</translation>
  </message>
  <message>
   <source>{name} is {share} % (± {sure}) {word} than planned.</source>
   <translation>{name} ist {share} % (± {sure}) {word} als geplant.</translation>
  </message>
  <message>
   <source>Ink {name} more fully, by {share} %; or mix it anew with {share} % more ink to the same extender.</source>
   <translation>{name} um {share} % satter einwalzen; oder neu mischen mit {share} % mehr Farbe auf ebenso viel Lasurmittel.</translation>
  </message>
  <message>
   <source>{name} took only {factor} % (± {sure}) on the wet ink below it.</source>
   <translation>{name} nahm auf der nassen Farbe darunter nur zu {factor} % (± {sure}) an.</translation>
  </message>
  <message>
   <source>stronger</source>
   <translation>kräftiger</translation>
  </message>
  <message>
   <source>weaker</source>
   <translation>schwächer</translation>
  </message>
  <message>
   <source>Let the layer below dry longer, or make this ink looser than that one.</source>
   <translation>Die Lage darunter länger trocknen lassen, oder diese Farbe weicher machen als jene.</translation>
  </message>
  <message>
   <source>Stir {grams} g of extender into 100 g of {name}, or ink it so much more thinly.</source>
   <translation>{grams} g Lasurmittel in 100 g {name} rühren, oder um so viel dünner einwalzen.</translation>
  </message>
  <message>
   <source>looking for what explains it</source>
   <translation>es wird gesucht, was das erklärt</translation>
  </message>
  <message>
   <source>looking for the sheet</source>
   <translation>Bogen wird gesucht</translation>
  </message>
  <message>
   <source>{name}: too little of its edges can be seen to say where it lies at the image's corners (±{sigma}). Print marks in the margin, or read it by eye.</source>
   <translation>{name}: zu wenig von den Rändern ist zu sehen, um zu sagen, wo es an den Bildecken liegt (±{sigma}). Marken in den Rand drucken oder mit dem Auge lesen.</translation>
  </message>
  <message>
   <source>There is nothing to look for on a scan: open a picture first.</source>
   <translation>Auf einem Scan gibt es noch nichts zu suchen: zuerst ein Bild öffnen.</translation>
  </message>
  <message>
   <source>The project prints no marks: choose rings or crosses, or read the picture itself.</source>
   <translation>Das Projekt druckt keine Marken: Ringe oder Kreuze wählen, oder das Bild selbst lesen.</translation>
  </message>
  <message>
   <source>The sheet's edges are not all seen here: ask how far pulls are out against another pull.</source>
   <translation>Die Ränder des Bogens sind hier nicht alle zu sehen: lass die Drucke gegen einen anderen Druck messen.</translation>
  </message>
  <message>
   <source>What is photographed agrees with this print to {share} % only: is it another print, or a photograph of a screen? Photograph the proof itself, sharp and in even light.</source>
   <translation>Was fotografiert ist, stimmt nur zu {share} % mit diesem Druck überein: ist es ein anderer Druck oder das Foto eines Bildschirms? Fotografiere den Probedruck selbst, scharf und in gleichmäßigem Licht.</translation>
  </message>
  <message>
   <source>The sheet does not lie flat here: places are off by {left} that no block explains. Press it flat, under glass or with weights at its edges, and photograph it again from above.</source>
   <translation>Der Bogen liegt hier nicht flach: Stellen liegen um {left} daneben, was kein Stock erklärt. Drücke ihn flach, unter Glas oder mit Gewichten am Rand, und fotografiere ihn noch einmal von oben.</translation>
  </message>
  <message>
   <source>laying the photograph on the print</source>
   <translation>das Foto auf den Druck legen</translation>
  </message>
  <message>
   <source>It is not printed yet on this sheet.</source>
   <translation>Er ist auf diesem Bogen noch nicht gedruckt.</translation>
  </message>
  <message>
   <source>looking for the print</source>
   <translation>den Druck suchen</translation>
  </message>
  <message>
   <source>This print is not found in the picture: photograph the whole sheet from above on a plain ground, or open the project that it belongs to.</source>
   <translation>Dieser Druck ist im Bild nicht zu finden: fotografiere den ganzen Bogen von oben auf einfarbigem Grund, oder öffne das Projekt, zu dem er gehört.</translation>
  </message>
  <message>
   <source>printing plausible sheets</source>
   <translation>glaubhafte Bogen werden gedruckt</translation>
  </message>
  <message>
   <source>out of register</source>
   <translation>verschoben</translation>
  </message>
  <message>
   <source>dirty ground</source>
   <translation>schmutziger Grund</translation>
  </message>
  <message>
   <source>too little ink, or dry paper</source>
   <translation>zu wenig Farbe oder trockenes Papier</translation>
  </message>
  <message>
   <source>its edges leave bare paper on one side and lie over their neighbour on the other.</source>
   <translation>die Ränder lassen auf einer Seite blankes Papier und liegen auf der anderen über dem Nachbarn.</translation>
  </message>
  <message>
   <source>its shapes have grown on all sides alike and fine gaps in it have filled.</source>
   <translation>die Formen sind ringsum gewachsen, und feine Lücken sind zugelaufen.</translation>
  </message>
  <message>
   <source>its solid is broken and grainy, while its edges lie where they should.</source>
   <translation>die Fläche ist gebrochen und körnig, während die Ränder liegen, wo sie sollen.</translation>
  </message>
  <message>
   <source>specks of its ink stand where its block was cleared.</source>
   <translation>Spritzer der Farbe stehen, wo der Stock ausgeräumt war.</translation>
  </message>
  <message>
   <source>The right block, but {off} from the true shift. </source>
   <translation>Der richtige Stock, aber {off} neben der wahren Verschiebung. </translation>
  </message>
  <message>
   <source>, {dx_mm} to the {also} and {dy_mm} {also_2}</source>
   <translation>, {dx_mm} nach {also} und {dy_mm} {also_2}</translation>
  </message>
  <message>
   <source>Not that one. </source>
   <translation>Dieser nicht. </translation>
  </message>
  <message>
   <source>The right block, but it is {kind_words}. </source>
   <translation>Der richtige Stock, aber: {kind_words}. </translation>
  </message>
  <message>
   <source>Right. </source>
   <translation>Richtig. </translation>
  </message>
  <message>
   <source>Right, {off} from the true place. </source>
   <translation>Richtig, {off} neben der wahren Stelle. </translation>
  </message>
  <message>
   <source>, turned {rotation_deg:.2f}° {way}</source>
   <translation>, {rotation_deg:.2f}° gedreht, {way}</translation>
  </message>
  <message>
   <source>clockwise</source>
   <translation>im Uhrzeigersinn</translation>
  </message>
  <message>
   <source>anticlockwise</source>
   <translation>gegen den Uhrzeigersinn</translation>
  </message>
  <message>
   <source>down</source>
   <translation>nach unten</translation>
  </message>
  <message>
   <source>up</source>
   <translation>nach oben</translation>
  </message>
  <message>
   <source>reading the fields</source>
   <translation>Flächen werden gelesen</translation>
  </message>
  <message>
   <source>looking for what did not print</source>
   <translation>sucht, was nicht gedruckt hat</translation>
  </message>
  <message>
   <source>The sheet has no bare margin to balance the picture by.</source>
   <translation>Der Bogen hat keinen bloßen Rand, nach dem das Bild abzugleichen wäre.</translation>
  </message>
  <message>
   <source>The bare paper comes out uneven by ΔE {sure}: a shadow or a lamp's edge lies over the sheet; take it in even light, away from your own shadow.</source>
   <translation>Das bloße Papier kommt um ΔE {sure} ungleich heraus: Ein Schatten oder der Rand eines Lampenlichts liegt über dem Bogen; nimm ihn in gleichmäßigem Licht auf, fern vom eigenen Schatten.</translation>
  </message>
  <message>
   <source>missing</source>
   <translation>fehlt</translation>
  </message>
  <message>
   <source>stray</source>
   <translation>zu viel</translation>
  </message>
  <message>
   <source>Ink where none should be, {area} mm² at {x} from the left and {y} from the top: wipe the cleared ground, cut it lower or take off what lies there.</source>
   <translation>Farbe, wo keine sein soll, {area} mm² bei {x} von links und {y} von oben: den geräumten Grund wischen, tiefer schneiden oder abnehmen, was dort liegt.</translation>
  </message>
  <message>
   <source>{name} did not print {area} mm² at {x} from the left and {y} from the top: pack under the block there, press harder or ink it more fully; clean what lies on it.</source>
   <translation>{name} druckte {area} mm² nicht bei {x} von links und {y} von oben: dort unter dem Stock unterlegen, fester drücken oder satter einwalzen; abnehmen, was darauf liegt.</translation>
  </message>
  <message>
   <source>upper left</source>
   <translation>oben links</translation>
  </message>
  <message>
   <source>upper right</source>
   <translation>oben rechts</translation>
  </message>
  <message>
   <source>lower left</source>
   <translation>unten links</translation>
  </message>
  <message>
   <source>lower right</source>
   <translation>unten rechts</translation>
  </message>
  <message>
   <source>, turned {rotation_deg:.2f}° {round_to}</source>
   <translation>, {rotation_deg:.2f}° gedreht, {round_to}</translation>
  </message>
  <message>
   <source>{way}, {way_2} in the middle{turn}; {worst} at the worst corner (sure to ±{sigma_mm}).</source>
   <translation>{way}, {way_2} in der Mitte{turn}; {worst} an der schlimmsten Ecke (sicher auf ±{sigma_mm}).</translation>
  </message>
  <message>
   <source>The next proof should be within {left}.</source>
   <translation>Der nächste Probedruck sollte auf {left} passen.</translation>
  </message>
  <message>
   <source>{name}: {way}, {way_2} (±{sigma}). {step}</source>
   <translation>{name}: {way}, {way_2} (±{sigma}). {step}</translation>
  </message>
  <message>
   <source>Not cut yet: lay its transfer {way} and {way_2}, as seen on the print{turn}{scale}.</source>
   <translation>Noch nicht geschnitten: die Übertragung {way} und {way_2} legen, wie auf dem Druck gesehen{turn}{scale}.</translation>
  </message>
  <message>
   <source>above the image</source>
   <translation>über dem Bild</translation>
  </message>
  <message>
   <source>below the image</source>
   <translation>unter dem Bild</translation>
  </message>
  <message>
   <source>left of the image</source>
   <translation>links vom Bild</translation>
  </message>
  <message>
   <source>right of the image</source>
   <translation>rechts vom Bild</translation>
  </message>
  <message>
   <source> What is left is stretch.</source>
   <translation> Was übrig bleibt, ist Dehnung.</translation>
  </message>
  <message>
   <source>No block can be told on this picture: take it again from above, sharp, the sheet flat.</source>
   <translation>Auf diesem Bild lässt sich kein Stock bestimmen: noch einmal von oben aufnehmen, scharf, der Bogen flach.</translation>
  </message>
  <message>
   <source>, scaled by {stretch:+.1f} % left to right and {stretch_2:+.1f} % top to bottom</source>
   <translation>, um {stretch:+.1f} % von links nach rechts und {stretch_2:+.1f} % von oben nach unten vergrößert</translation>
  </message>
  <message>
   <source>, turned {what:+.2f}° clockwise</source>
   <translation>, {what:+.2f}° im Uhrzeigersinn gedreht</translation>
  </message>
  <message>
   <source>to the right</source>
   <translation>nach rechts</translation>
  </message>
  <message>
   <source>to the left</source>
   <translation>nach links</translation>
  </message>
  <message>
   <source>In register by your tolerance: leave it.</source>
   <translation>Nach der Toleranz im Passer: so lassen.</translation>
  </message>
  <message>
   <source>The reading is not sure enough to cut by: read the marks of three sheets, or scan finer.</source>
   <translation>Die Messung ist zu unsicher, um danach zu schneiden: die Marken von drei Bogen lesen oder feiner scannen.</translation>
  </message>
  <message>
   <source>Whole sheets are drawn and read for up to {most_pulls} pulls, not {pulls}.</source>
   <translation>Ganze Bogen werden für bis zu {most_pulls} Druckgänge gezeichnet und gelesen, nicht für {pulls}.</translation>
  </message>
  <message>
   <source>Creeping {said} (sheet {first} to {last}, ± {scatter} beside it): what the sheet or the block is laid against wears or gives way, or the paper dries. Look at it, and damp the pack evenly.</source>
   <translation>Wandert {said} (Bogen {first} bis {last}, daneben ± {scatter}): Woran Bogen oder Stock angelegt wird, nutzt sich ab oder gibt nach, oder das Papier trocknet. Sieh nach, und feuchte den Stapel gleichmäßig.</translation>
  </message>
  <message>
   <source>{name} grows {share} % fuller a sheet: less ink, or fewer passes.</source>
   <translation>{name} wird je Bogen um {share} % satter: weniger Farbe, oder weniger Überrollen.</translation>
  </message>
  <message>
   <source>{slope} a sheet {way}</source>
   <translation>{slope} je Bogen {way}</translation>
  </message>
  <message>
   <source>Steady from sheet {first} to {last}, ± {scatter}.</source>
   <translation>Stetig von Bogen {first} bis {last}, ± {scatter}.</translation>
  </message>
  <message>
   <source>: {limit} at sheet {at}</source>
   <translation>: {limit} bei Bogen {at}</translation>
  </message>
  <message>
   <source> Ink it more fully now.</source>
   <translation> Walze sie jetzt satter ein.</translation>
  </message>
  <message>
   <source> Ink it more fully before sheet {at}.</source>
   <translation> Walze sie vor Bogen {at} satter ein.</translation>
  </message>
  <message>
   <source>{name} grows {share} % thinner a sheet.</source>
   <translation>{name} wird je Bogen um {share} % dünner.</translation>
  </message>
  <message>
   <source>A proof that comes out like this is in register: leave the notches alone.</source>
   <translation>Ein so herauskommender Probedruck passt: die Kerben in Ruhe lassen.</translation>
  </message>
  <message>
   <source>In a reduction every mark prints in all pulls until it is cut away: read the picture itself.</source>
   <translation>Bei einer verlorenen Platte druckt jede Marke in allen Druckgängen, bis sie weggeschnitten ist: das Bild selbst lesen.</translation>
  </message>
  <message>
   <source>If a proof comes out like this, for this pull:</source>
   <translation>Kommt ein Probedruck so heraus, für diesen Druckgang:</translation>
  </message>
  <message>
   <source>Or take no wood away:</source>
   <translation>Oder kein Holz wegnehmen:</translation>
  </message>
  <message>
   <source>, for every other pull.</source>
   <translation>, für jeden anderen Druckgang.</translation>
  </message>
  <message>
   <source>how the sheet is seated</source>
   <translation>Anlegen des Bogens</translation>
  </message>
  <message>
   <source>how the block sits</source>
   <translation>Sitz des Stocks</translation>
  </message>
  <message>
   <source>how the notches are cut</source>
   <translation>Schneiden der Kerben</translation>
  </message>
  <message>
   <source>how the drawing is carried onto the blocks</source>
   <translation>Übertragung der Zeichnung auf die Stöcke</translation>
  </message>
  <message>
   <source>how the paper grows</source>
   <translation>Wachsen des Papiers</translation>
  </message>
  <message>
   <source>There is nothing to print yet: open a picture first.</source>
   <translation>Es gibt noch nichts zu drucken: zuerst ein Bild öffnen.</translation>
  </message>
  <message>
   <source>Sheets are simulated with up to {most_pulls} pulls, not {impressions}.</source>
   <translation>Bogen werden mit bis zu {most_pulls} Druckgängen nachgestellt, nicht {impressions}.</translation>
  </message>
  <message>
   <source>A trap of {trap_mm} closes the gaps that have one ({where}).</source>
   <translation>Eine Überfüllung von {trap_mm} schließt die Blitzer, die eine haben ({where}).</translation>
  </message>
  <message>
   <source>The largest part of the error is {largest}, ±{length_text}.</source>
   <translation>Der größte Anteil am Fehler: {largest}, ±{length_text}.</translation>
  </message>
  <message>
   <source>{name} would hold ±{then} instead of ±{now} at the worst place.</source>
   <translation>{name} würde an der schlimmsten Stelle ±{then} statt ±{now} halten.</translation>
  </message>
  <message>
   <source>{one} and {other} only kiss, as their overlap would be seen, ΔE {seam:.0f}. Allow it, or lay a key line {width_mm} wide over the join.</source>
   <translation>{one} und {other} stehen nur auf Stoß, da ihr Überlappen sichtbar wäre, ΔE {seam:.0f}. Zulassen oder eine Linie von {width_mm} darüberlegen.</translation>
  </message>
  <message>
   <source>{names} and {names_2}</source>
   <translation>{names} und {names_2}</translation>
  </message>
  <message>
   <source>printing sheet {sheet} of {sheets}</source>
   <translation>Bogen {sheet} von {sheets} wird gedruckt</translation>
  </message>
  <message>
   <source>glare: part of it is blown out; turn the light or the card</source>
   <translation>Glanz: ein Teil ist ausgefressen; Licht oder Karte drehen</translation>
  </message>
  <message>
   <source>uneven: its corners differ; light it from both sides, or draw the ink down anew</source>
   <translation>ungleichmäßig: die Ecken unterscheiden sich; von beiden Seiten beleuchten oder die Farbe neu aufstreichen</translation>
  </message>
  <message>
   <source>the side of the corner notch</source>
   <translation>die Seite der Eckkerbe</translation>
  </message>
  <message>
   <source>the base of the corner notch</source>
   <translation>der Boden der Eckkerbe</translation>
  </message>
  <message>
   <source>the base of the straight notch</source>
   <translation>der Boden der geraden Kerbe</translation>
  </message>
  <message>
   <source>the upper left corner</source>
   <translation>die obere linke Ecke</translation>
  </message>
  <message>
   <source>the lower left corner</source>
   <translation>die untere linke Ecke</translation>
  </message>
  <message>
   <source>the lower right corner</source>
   <translation>die untere rechte Ecke</translation>
  </message>
  <message>
   <source>left to right</source>
   <translation>von links nach rechts</translation>
  </message>
  <message>
   <source>longer</source>
   <translation>länger</translation>
  </message>
  <message>
   <source>shorter</source>
   <translation>kürzer</translation>
  </message>
  <message>
   <source>drier</source>
   <translation>trockener</translation>
  </message>
  <message>
   <source>damper</source>
   <translation>feuchter</translation>
  </message>
  <message>
   <source>It prints {abs:.1f} % {longer} {way}, {reach} at the edge, and no kento cures that: the paper was {paper} than meant, or the transfer changed size. Damp the pack evenly, turn the grain, or, if the block is not cut yet, scale its transfer by {share:+.1f} %.</source>
   <translation>Es druckt {abs:.1f} % {longer} {way}, {reach} am Rand, und dagegen hilft kein Kento: das Papier war {paper} als vorgesehen, oder die Übertragung hat ihre Größe geändert. Den Stapel gleichmäßig feuchten, die Laufrichtung drehen, oder, wenn der Stock noch nicht geschnitten ist, die Übertragung um {share:+.1f} % vergrößern.</translation>
  </message>
  <message>
   <source>Move {name} {rounded} {where}.</source>
   <translation>{name} um {rounded} versetzen, {where}.</translation>
  </message>
  <message>
   <source>Glue a strip of</source>
   <translation>Einen Streifen aufkleben von</translation>
  </message>
  <message>
   <source>onto</source>
   <translation>auf</translation>
  </message>
  <message>
   <source>from</source>
   <translation>von</translation>
  </message>
  <message>
   <source>towards you</source>
   <translation>zum Körper hin</translation>
  </message>
  <message>
   <source>corner</source>
   <translation>Ecke</translation>
  </message>
  <message>
   <source>middle</source>
   <translation>Mitte</translation>
  </message>
  <message>
   <source>side</source>
   <translation>Seite</translation>
  </message>
  <message>
   <source>right</source>
   <translation>rechts</translation>
  </message>
  <message>
   <source>left</source>
   <translation>links</translation>
  </message>
  <message>
   <source>long</source>
   <translation>lang</translation>
  </message>
  <message>
   <source>short</source>
   <translation>kurz</translation>
  </message>
  <message>
   <source>Kento</source>
   <translation>Kento</translation>
  </message>
  <message>
   <source>corner notch</source>
   <translation>Eckkerbe</translation>
  </message>
  <message>
   <source>straight notch</source>
   <translation>gerade Kerbe</translation>
  </message>
  <message>
   <source>Paper of {paper_mm} does not seat in notches: give {range}.</source>
   <translation>Papier von {paper_mm} sitzt nicht in Kerben: {range} angeben.</translation>
  </message>
  <message>
   <source>The image, {width}, runs off the sheet, {size_text}: choose a larger sheet or move the image.</source>
   <translation>Das Bild, {width}, läuft über den Bogen hinaus, {size_text}: einen größeren Bogen wählen oder das Bild verschieben.</translation>
  </message>
  <message>
   <source>lower edge</source>
   <translation>Unterkante</translation>
  </message>
  <message>
   <source>corner side</source>
   <translation>Eckseite</translation>
  </message>
  <message>
   <source>The straight notch comes within {gap} of the corner notch; they need {between_notches_mm} between them: make them shorter or move the straight notch out.</source>
   <translation>Die gerade Kerbe kommt der Eckkerbe auf {gap} nahe; sie brauchen {between_notches_mm} dazwischen: kürzer machen oder die gerade Kerbe hinausrücken.</translation>
  </message>
  <message>
   <source>The straight notch runs {middle} past the sheet's end: make it shorter or move it towards the corner.</source>
   <translation>Die gerade Kerbe läuft {middle} über das Bogenende hinaus: kürzer machen oder zur Ecke rücken.</translation>
  </message>
  <message>
   <source>The corner notch is longer than half the sheet: make its arms shorter.</source>
   <translation>Die Eckkerbe ist länger als der halbe Bogen: ihre Arme kürzen.</translation>
  </message>
  <message>
   <source>A block of {size_text} has no room for the kento: image, sheet corner and {thinnest_wall_mm} of wood beyond the notches need {least}; take a larger block or narrower margins.</source>
   <translation>Ein Stock von {size_text} hat keinen Platz für den Kento: Bild, Bogenecke und {thinnest_wall_mm} Holz hinter den Kerben brauchen {least}; einen größeren Stock oder schmalere Ränder nehmen.</translation>
  </message>
  <message>
   <source>The printer's hand</source>
   <translation>Die Hand des Druckers</translation>
  </message>
  <message>
   <source>The corner notch lies at that hand when the block faces you.</source>
   <translation>Die Eckkerbe liegt an dieser Hand, wenn der Stock vor dir liegt.</translation>
  </message>
  <message>
   <source>Corner notch, each arm</source>
   <translation>Eckkerbe, jeder Arm</translation>
  </message>
  <message>
   <source>How far the corner notch reaches along each edge of the sheet.</source>
   <translation>Wie weit die Eckkerbe an jeder Bogenkante reicht.</translation>
  </message>
  <message>
   <source>Straight notch, length</source>
   <translation>Gerade Kerbe, Länge</translation>
  </message>
  <message>
   <source>How long the straight notch is.</source>
   <translation>Wie lang die gerade Kerbe ist.</translation>
  </message>
  <message>
   <source>Middle of the straight notch</source>
   <translation>Mitte der geraden Kerbe</translation>
  </message>
  <message>
   <source>Where the straight notch stands along the edge, from the corner.</source>
   <translation>Wo die gerade Kerbe an der Kante steht, von der Ecke aus.</translation>
  </message>
  <message>
   <source>Depth of the notches</source>
   <translation>Tiefe der Kerben</translation>
  </message>
  <message>
   <source>How deep they are cut: about twice the paper's thickness, 1 mm at least.</source>
   <translation>Wie tief sie geschnitten werden: etwa doppelte Papierdicke, mindestens 1 mm.</translation>
  </message>
  <message>
   <source>Wood beyond the notches</source>
   <translation>Holz hinter den Kerben</translation>
  </message>
  <message>
   <source>Wood left outside the notches, so that they do not break out.</source>
   <translation>Holz, das außerhalb der Kerben bleibt, damit sie nicht ausbrechen.</translation>
  </message>
  <message>
   <source>The margin at the sheet's {where} is {margin}, and the notches need {smallest_margin_mm} outside the image: widen it by {smallest_margin_mm_2}.</source>
   <translation>Der Rand am Bogen ({where}) ist {margin}, und die Kerben brauchen {smallest_margin_mm} außerhalb des Bildes: um {smallest_margin_mm_2} verbreitern.</translation>
  </message>
  <message>
   <source>Right-handed</source>
   <translation>Rechtshändig</translation>
  </message>
  <message>
   <source>Left-handed</source>
   <translation>Linkshändig</translation>
  </message>
  <message>
   <source>Read at least one place to the side and one up or down.</source>
   <translation>Mindestens eine Stelle seitlich und eine in der Höhe ablesen.</translation>
  </message>
  <message>
   <source>One mark shows no rotation: measure at least two for each block, far apart.</source>
   <translation>Eine Marke zeigt keine Drehung: je Stock mindestens zwei messen, weit auseinander.</translation>
  </message>
  <message>
   <source>The expected marks all lie in one place: measure at two places far apart.</source>
   <translation>Die erwarteten Marken liegen alle an einer Stelle: an zwei weit entfernten messen.</translation>
  </message>
  <message>
   <source>The margin at the sheet's far edge is {margin_mm}, and tabs need {least_overlap_mm} to be taped to: widen it.</source>
   <translation>Der Rand an der fernen Bogenkante ist {margin_mm}, und Laschen brauchen {least_overlap_mm} zum Ankleben: verbreitern.</translation>
  </message>
  <message>
   <source>A sheet {width} wide has no room for {pairs} pairs of pins, which need {least}.</source>
   <translation>Ein Bogen von {width} Breite hat keinen Platz für {pairs} Paare Stifte, die {least} brauchen.</translation>
  </message>
  <message>
   <source>The block reaches {top} beyond the sheet's far edge, where the pins stand: move the image down, or take a block with less wood above it.</source>
   <translation>Der Stock reicht {top} über die ferne Bogenkante hinaus, wo die Stifte stehen: das Bild nach unten rücken oder einen Stock mit weniger Holz darüber nehmen.</translation>
  </message>
  <message>
   <source>Punched holes need {need} more margin above the image: tape tabs on instead, or take a larger sheet.</source>
   <translation>Gestanzte Löcher brauchen {need} mehr Rand über dem Bild: stattdessen Laschen ankleben oder einen größeren Bogen nehmen.</translation>
  </message>
  <message>
   <source>{parts} parts do not go on a board of {width}: take a larger one.</source>
   <translation>{parts} Teile gehen nicht auf eine Platte von {width}: eine größere nehmen.</translation>
  </message>
  <message>
   <source>x</source>
   <translation>x</translation>
  </message>
  <message>
   <source>y</source>
   <translation>y</translation>
  </message>
  <message>
   <source>The margin has room for {slots} marks, and {count} blocks need {count_2}: leave {from_image_mm} of block and sheet beyond the image.</source>
   <translation>Der Rand hat Platz für {slots} Marken, und {count} Stöcke brauchen {count_2}: {from_image_mm} von Stock und Bogen um das Bild stehen lassen.</translation>
  </message>
  <message>
   <source>A vernier compares two blocks, and there is only one.</source>
   <translation>Ein Nonius vergleicht zwei Stöcke, und es gibt nur einen.</translation>
  </message>
  <message>
   <source>Verniers for {count} blocks need {long} of margin each, {deep} deep, on an upright and a level side: choose rings or crosses, or a wider margin.</source>
   <translation>Nonien für {count} Stöcke brauchen je {long} Rand, {deep} tief, an einer senkrechten und einer waagerechten Seite: Ringe oder Kreuze wählen, oder einen breiteren Rand.</translation>
  </message>
  <message>
   <source>for {block}</source>
   <translation>für {block}</translation>
  </message>
  <message>
   <source>The vernier has {strokes} strokes on each side of its zero, not {meeting}.</source>
   <translation>Der Nonius hat {strokes} Striche auf jeder Seite der Null, nicht {meeting}.</translation>
  </message>
  <message>
   <source>{name}: only {pairs} of its {expected_mm} marks are found on the scan; they may be too pale or cut off. Read it by eye, or leave the marks out and read the picture.</source>
   <translation>{name}: nur {pairs} der {expected_mm} Marken sind auf dem Scan zu finden; sie sind vielleicht zu blass oder abgeschnitten. Mit dem Auge lesen, oder die Marken weglassen und das Bild lesen.</translation>
  </message>
  <message>
   <source>comparing the scan with the print</source>
   <translation>Scan wird mit dem Druck verglichen</translation>
  </message>
  <message>
   <source>crosses</source>
   <translation>Kreuze</translation>
  </message>
  <message>
   <source>rings</source>
   <translation>Ringe</translation>
  </message>
  <message>
   <source>verniers</source>
   <translation>Nonien</translation>
  </message>
  <message>
   <source>practised</source>
   <translation>geübt</translation>
  </message>
  <message>
   <source>beginner</source>
   <translation>Anfänger</translation>
  </message>
  <message>
   <source>Registration</source>
   <translation>Passer</translation>
  </message>
  <message>
   <source>Pins</source>
   <translation>Stifte</translation>
  </message>
  <message>
   <source>Three pairs for a large or floppy sheet.</source>
   <translation>Drei Paare für einen großen oder schlaffen Bogen.</translation>
  </message>
  <message>
   <source>Tabs taped on, not punched</source>
   <translation>Laschen aufgeklebt, nicht gestanzt</translation>
  </message>
  <message>
   <source>The sheet itself is not punched: it carries taped tabs.</source>
   <translation>Der Bogen selbst wird nicht gelocht: er trägt aufgeklebte Laschen.</translation>
  </message>
  <message>
   <source>Clearance, each side</source>
   <translation>Spiel, je Seite</translation>
  </message>
  <message>
   <source>Between a pin and its hole, on each side.</source>
   <translation>Zwischen Stift und Loch, auf jeder Seite.</translation>
  </message>
  <message>
   <source>Kerf of the cutter</source>
   <translation>Schnittspalt des Plotters</translation>
  </message>
  <message>
   <source>What the cutter takes away along its line.</source>
   <translation>Was der Schneider entlang seiner Linie wegnimmt.</translation>
  </message>
  <message>
   <source>Board of the pins</source>
   <translation>Pappe der Stifte</translation>
  </message>
  <message>
   <source>How thick the board is that the pins are cut from.</source>
   <translation>Wie dick die Pappe ist, aus der die Stifte geschnitten werden.</translation>
  </message>
  <message>
   <source>Board to cut from</source>
   <translation>Pappe zum Ausschneiden</translation>
  </message>
  <message>
   <source>The piece of board that tabs and pins are cut from.</source>
   <translation>Das Stück Pappe, aus dem Laschen und Stifte geschnitten werden.</translation>
  </message>
  <message>
   <source>Thickness of the block</source>
   <translation>Dicke des Stocks</translation>
  </message>
  <message>
   <source>Lino is commonly 3.2 mm.</source>
   <translation>Linol ist meist 3,2 mm dick.</translation>
  </message>
  <message>
   <source>Whose hand</source>
   <translation>Wessen Hand</translation>
  </message>
  <message>
   <source>Whose usual figures the parts of the error are.</source>
   <translation>Wessen übliche Werte die Teile des Fehlers sind.</translation>
  </message>
  <message>
   <source>Along the printer</source>
   <translation>Längs im Drucker</translation>
  </message>
  <message>
   <source>The edge of the block that lies towards you.</source>
   <translation>Die Kante des Stocks, die zum Körper zeigt.</translation>
  </message>
  <message>
   <source>Marks in the margin</source>
   <translation>Marken im Rand</translation>
  </message>
  <message>
   <source>Marks that print with every block, to measure proofs by.</source>
   <translation>Marken, die mit jedem Stock drucken, um Probedrucke daran zu messen.</translation>
  </message>
  <message>
   <source>Printed on damp paper</source>
   <translation>Auf feuchtem Papier gedruckt</translation>
  </message>
  <message>
   <source>Damp paper grows, and shrinks as it dries.</source>
   <translation>Feuchtes Papier wächst und schrumpft beim Trocknen.</translation>
  </message>
  <message>
   <source>Block</source>
   <translation>Stock</translation>
  </message>
  <message>
   <source>Of the block you have.</source>
   <translation>Des vorhandenen Stocks.</translation>
  </message>
  <message>
   <source>Seating of the sheet, ±</source>
   <translation>Anlegen des Bogens, ±</translation>
  </message>
  <message>
   <source>How far a sheet lies from the notches or stops on 95 of 100 pulls.</source>
   <translation>Wie weit ein Bogen bei 95 von 100 Drucken von Kerben oder Anschlägen liegt.</translation>
  </message>
  <message>
   <source>Seating of the block, ±</source>
   <translation>Einlegen des Stocks, ±</translation>
  </message>
  <message>
   <source>How far the block lies from its place when it is put back.</source>
   <translation>Wie weit der Stock beim Zurücklegen von seinem Platz liegt.</translation>
  </message>
  <message>
   <source>Cutting of notches or stops, ±</source>
   <translation>Schneiden der Kerben oder Anschläge, ±</translation>
  </message>
  <message>
   <source>How exactly notches or stops are made.</source>
   <translation>Wie genau Kerben oder Anschläge gemacht sind.</translation>
  </message>
  <message>
   <source>Transfer of the drawing, ±</source>
   <translation>Übertragen der Zeichnung, ±</translation>
  </message>
  <message>
   <source>How exactly the drawing comes onto the block.</source>
   <translation>Wie genau die Zeichnung auf den Stock kommt.</translation>
  </message>
  <message>
   <source>Growth along the grain, ±</source>
   <translation>Wachstum längs, ±</translation>
  </message>
  <message>
   <source>How much sheets differ in growth along the grain.</source>
   <translation>Wie verschieden Bogen in Laufrichtung wachsen.</translation>
  </message>
  <message>
   <source>Growth across the grain, ±</source>
   <translation>Wachstum quer, ±</translation>
  </message>
  <message>
   <source>How much sheets differ in growth across the grain.</source>
   <translation>Wie verschieden Bogen quer zur Laufrichtung wachsen.</translation>
  </message>
  <message>
   <source>two pairs</source>
   <translation>zwei Paare</translation>
  </message>
  <message>
   <source>three pairs</source>
   <translation>drei Paare</translation>
  </message>
  <message>
   <source>Board to cut from, width</source>
   <translation>Platte zum Ausschneiden, Breite</translation>
  </message>
  <message>
   <source>Board, height</source>
   <translation>Platte, Höhe</translation>
  </message>
  <message>
   <source>as needed</source>
   <translation>nach Bedarf</translation>
  </message>
  <message>
   <source>Practised hand</source>
   <translation>Geübte Hand</translation>
  </message>
  <message>
   <source>First edition</source>
   <translation>Erste Auflage</translation>
  </message>
  <message>
   <source>the lower edge</source>
   <translation>die Unterkante</translation>
  </message>
  <message>
   <source>the long side</source>
   <translation>die lange Seite</translation>
  </message>
  <message>
   <source>the short side</source>
   <translation>die kurze Seite</translation>
  </message>
  <message>
   <source>dots</source>
   <translation>Punkte</translation>
  </message>
  <message>
   <source>A side of the block</source>
   <translation>Eine Seite des Stocks</translation>
  </message>
  <message>
   <source>There is no system called {name}; choose {systems}.</source>
   <translation>Es gibt kein System namens {name}; wählbar sind {systems}.</translation>
  </message>
  <message>
   <source>Traced bed sheet</source>
   <translation>Gepauster Bettbogen</translation>
  </message>
  <message>
   <source>Marked corner of the block to the marked corner; sheet onto its crosses.</source>
   <translation>Markierte Ecke des Stocks an die markierte Ecke; Bogen auf seine Kreuze.</translation>
  </message>
  <message>
   <source>Too loose for {pulls} pulls on {sheets} sheets.</source>
   <translation>Zu locker für {pulls} Druckgänge auf {sheets} Bogen.</translation>
  </message>
  <message>
   <source>the marked corner and the crosses</source>
   <translation>der markierten Ecke und den Kreuzen</translation>
  </message>
  <message>
   <source>block here</source>
   <translation>Stock hier</translation>
  </message>
  <message>
   <source>Tape this sheet to the bench under a clear film. Mark the same corner on every block.</source>
   <translation>Diesen Bogen unter klarer Folie auf die Werkbank kleben. Auf jedem Stock dieselbe Ecke anzeichnen.</translation>
  </message>
  <message>
   <source>Lay the block on its outline, marked corner on marked corner: a block turned by mistake is the usual error.</source>
   <translation>Den Stock auf seinen Umriss legen, markierte Ecke auf markierte Ecke: ein versehentlich gedrehter Stock ist der übliche Fehler.</translation>
  </message>
  <message>
   <source>Lower the sheet by two corners onto their crosses, then let it fall.</source>
   <translation>Den Bogen an zwei Ecken auf ihre Kreuze senken, dann fallen lassen.</translation>
  </message>
  <message>
   <source>The simplest set-up, for a few sheets: it holds neither block nor paper.</source>
   <translation>Die einfachste Einrichtung, für wenige Bogen: sie hält weder Stock noch Papier.</translation>
  </message>
  <message>
   <source>One pull has nothing to fit to: the simplest set-up will do.</source>
   <translation>Ein Druckgang hat nichts, worauf er passen muss: die einfachste Einrichtung genügt.</translation>
  </message>
  <message>
   <source>A few sheets in a few pulls: the simplest set-up will do.</source>
   <translation>Wenige Bogen in wenigen Druckgängen: die einfachste Einrichtung genügt.</translation>
  </message>
  <message>
   <source>A floppy sheet cannot be dropped onto a line.</source>
   <translation>Ein schlapper Bogen lässt sich nicht auf eine Linie fallen lassen.</translation>
  </message>
  <message>
   <source>marked corner</source>
   <translation>markierte Ecke</translation>
  </message>
  <message>
   <source>from sheet to block</source>
   <translation>vom Bogen zum Stock</translation>
  </message>
  <message>
   <source>Floating kento</source>
   <translation>Loser Kento</translation>
  </message>
  <message>
   <source>Corner notch first, then the straight notch, let it fall.</source>
   <translation>Zuerst die Eckkerbe, dann die gerade Kerbe, dann fallen lassen.</translation>
  </message>
  <message>
   <source>For blocks cut to the image: one notched board serves them all.</source>
   <translation>Für Stöcke, die auf das Bild zugeschnitten sind: ein gekerbtes Brett dient allen.</translation>
  </message>
  <message>
   <source>both notches</source>
   <translation>beiden Kerben</translation>
  </message>
  <message>
   <source>Cut the L from board exactly as thick as the block, and the notches into it.</source>
   <translation>Das L aus einem Brett genau von der Dicke des Stocks schneiden, und die Kerben hinein.</translation>
  </message>
  <message>
   <source>Fix the L to the base. Push each block into its inner corner, label upright.</source>
   <translation>Das L auf der Grundplatte befestigen. Jeden Stock in die innere Ecke schieben, Beschriftung aufrecht.</translation>
  </message>
  <message>
   <source>Seat the sheet's corner first, then its edge at the straight notch, then let it fall.</source>
   <translation>Zuerst die Bogenecke anlegen, dann die Kante an der geraden Kerbe, dann fallen lassen.</translation>
  </message>
  <message>
   <source>Every block must have the same square corner: it is what meets the L.</source>
   <translation>Jeder Stock muss dieselbe rechtwinklige Ecke haben: sie trifft auf das L.</translation>
  </message>
  <message>
   <source>The block may rise or slide: hold it with a strip of double-sided tape.</source>
   <translation>Der Stock kann steigen oder rutschen: mit einem Streifen doppelseitigem Klebeband halten.</translation>
  </message>
  <message>
   <source>The sheet's margin is narrower than notches need.</source>
   <translation>Der Bogenrand ist schmaler, als Kerben es brauchen.</translation>
  </message>
  <message>
   <source>Floppy paper buckles when it is pushed into notches.</source>
   <translation>Schlappes Papier beult, wenn es in Kerben geschoben wird.</translation>
  </message>
  <message>
   <source>A block of {size_text} does not go into the floating kento: the image is {width}, and the notches leave {near} below it and {side} at its corner side. Trim the block.</source>
   <translation>Ein Stock von {size_text} geht nicht in den losen Kento: das Bild ist {width}, und die Kerben lassen {near} darunter und {side} an der Eckseite. Den Stock beschneiden.</translation>
  </message>
  <message>
   <source>Corner jig</source>
   <translation>Eckanlage</translation>
  </message>
  <message>
   <source>Near stops first, slide to the side stop, lay it down.</source>
   <translation>Zuerst die vorderen Anschläge, an den Seitenanschlag schieben, ablegen.</translation>
  </message>
  <message>
   <source>Good when all blocks are cut to exactly one size and square.</source>
   <translation>Gut, wenn alle Stöcke genau gleich groß und rechtwinklig geschnitten sind.</translation>
  </message>
  <message>
   <source>the edges at the stops</source>
   <translation>den Kanten an den Anschlägen</translation>
  </message>
  <message>
   <source>The sheet must reach {clear_mm} beyond the block on the two stopped sides, or its stops would stand on the block: take a larger sheet, or smaller blocks.</source>
   <translation>Der Bogen muss an den beiden Anschlagseiten {clear_mm} über den Stock reichen, sonst stünden seine Anschläge auf dem Stock: einen größeren Bogen oder kleinere Stöcke nehmen.</translation>
  </message>
  <message>
   <source>Block stops: strips {thickness_mm} high, below the block's face.</source>
   <translation>Stockanschläge: Leisten von {thickness_mm} Höhe, unter der Stockoberfläche.</translation>
  </message>
  <message>
   <source>Paper stops: strips {above} high, {above_mm} above the block's face.</source>
   <translation>Papieranschläge: Leisten von {above} Höhe, {above_mm} über der Stockoberfläche.</translation>
  </message>
  <message>
   <source>Packing {thickness_mm} thick under the sheet's margin, so that it lies level.</source>
   <translation>Unterlage von {thickness_mm} Dicke unter dem Bogenrand, damit er eben liegt.</translation>
  </message>
  <message>
   <source>Push the block into its stops, ink it outside the jig or with the stops masked, lay the sheet against its own stops, near edge first.</source>
   <translation>Den Stock in seine Anschläge schieben, außerhalb der Anlage oder mit abgedeckten Anschlägen einfärben, den Bogen an seine eigenen Anschläge legen, vordere Kante zuerst.</translation>
  </message>
  <message>
   <source>All blocks of a set must be cut to one size and square.</source>
   <translation>Alle Stöcke eines Satzes müssen gleich groß und rechtwinklig geschnitten sein.</translation>
  </message>
  <message>
   <source>Stops higher than the block keep a press roller or a baren off the edges: work within them.</source>
   <translation>Anschläge, die höher als der Stock sind, halten Presswalze oder Baren von den Rändern fern: innerhalb arbeiten.</translation>
  </message>
  <message>
   <source>the side stop</source>
   <translation>der Seitenanschlag</translation>
  </message>
  <message>
   <source>the near stop at the corner</source>
   <translation>der vordere Anschlag an der Ecke</translation>
  </message>
  <message>
   <source>the far end's near stop</source>
   <translation>der vordere Anschlag am fernen Ende</translation>
  </message>
  <message>
   <source>The paper is too soft to be pushed against stops.</source>
   <translation>Das Papier ist zu weich, um gegen Anschläge geschoben zu werden.</translation>
  </message>
  <message>
   <source>One block for all pulls always sits the same in its stops.</source>
   <translation>Ein Stock für alle Druckgänge sitzt immer gleich in seinen Anschlägen.</translation>
  </message>
  <message>
   <source>The stops hold the pieces together in their border.</source>
   <translation>Die Anschläge halten die Teile in ihrem Rand zusammen.</translation>
  </message>
  <message>
   <source>Kento on the block</source>
   <translation>Kento auf dem Stock</translation>
  </message>
  <message>
   <source>The notches are in the wood itself and cannot shift.</source>
   <translation>Die Kerben sind im Holz selbst und können sich nicht verschieben.</translation>
  </message>
  <message>
   <source>Score the walls with a knife held upright, then pare the floors to depth from the image's side.</source>
   <translation>Die Wände mit senkrecht gehaltenem Messer anreißen, dann die Böden von der Bildseite her auf Tiefe stechen.</translation>
  </message>
  <message>
   <source>Pare the cleared wood between image and notches below the floors (the tidy line), so that the sheet lies flat.</source>
   <translation>Das ausgeräumte Holz zwischen Bild und Kerben tiefer als die Böden stechen (die Saumlinie), damit der Bogen flach liegt.</translation>
  </message>
  <message>
   <source>Cut the same notches in every block of the set, from one tracing.</source>
   <translation>In jeden Stock des Satzes dieselben Kerben schneiden, nach einer einzigen Pause.</translation>
  </message>
  <message>
   <source>Notches hold stiff or damp paper; a floppy dry sheet buckles in them.</source>
   <translation>Kerben halten steifes oder feuchtes Papier; ein schlapper trockener Bogen beult darin.</translation>
  </message>
  <message>
   <source>With the grain {grain} the near edge, a notch wall across the grain splits off easily: cut across the fibres first.</source>
   <translation>Bei Laufrichtung {grain} die vordere Kante entlang splittert eine Kerbenwand quer zur Faser leicht ab: zuerst quer durch die Fasern schneiden.</translation>
  </message>
  <message>
   <source>to the middle of the straight notch</source>
   <translation>zur Mitte der geraden Kerbe</translation>
  </message>
  <message>
   <source>The margin leaves no room for notches, which need {notch_margin_mm}.</source>
   <translation>Der Rand hat keinen Platz für Kerben, die {notch_margin_mm} brauchen.</translation>
  </message>
  <message>
   <source>The notches stand in the border that holds the pieces: keep it.</source>
   <translation>Die Kerben stehen in dem Rand, der die Teile hält: stehen lassen.</translation>
  </message>
  <message>
   <source>Damp paper seats in notches, two fingers at a time.</source>
   <translation>Feuchtes Papier sitzt in Kerben, mit je zwei Fingern angelegt.</translation>
  </message>
  <message>
   <source>Pins and tabs</source>
   <translation>Stifte und Laschen</translation>
  </message>
  <message>
   <source>Tabs onto the pins one by one, let it fall.</source>
   <translation>Laschen eine nach der anderen auf die Stifte, dann fallen lassen.</translation>
  </message>
  <message>
   <source>pin 1</source>
   <translation>Stift 1</translation>
  </message>
  <message>
   <source>pin {places}</source>
   <translation>Stift {places}</translation>
  </message>
  <message>
   <source>Tape each tab under the sheet's far edge, on its back, half on paper and half on tab; on light paper use low-tack tape, and let it reach over the tab's end so that the sheet does not lift off.</source>
   <translation>Jede Lasche unter die ferne Bogenkante kleben, auf die Rückseite, halb auf Papier und halb auf die Lasche; bei leichtem Papier schwach klebendes Band nehmen und über das Laschenende reichen lassen, damit sich der Bogen nicht abhebt.</translation>
  </message>
  <message>
   <source>Punch the sheets all against one stop, so that the holes are the same on each.</source>
   <translation>Alle Bogen gegen einen Anschlag stanzen, damit die Löcher überall gleich sind.</translation>
  </message>
  <message>
   <source>Repeats best, but every sheet needs its tabs fitted.</source>
   <translation>Wiederholt am besten, aber jeder Bogen braucht seine Laschen.</translation>
  </message>
  <message>
   <source>both pin holes</source>
   <translation>beiden Stiftlöchern</translation>
  </message>
  <message>
   <source>Cut the pairs from thin board: the stub glued on the foot is the male half, the plate with the hole the female.</source>
   <translation>Die Paare aus dünner Platte schneiden: der Zapfen auf dem Fuß ist die männliche Hälfte, die Platte mit dem Loch die weibliche.</translation>
  </message>
  <message>
   <source>Fix the block stops to the base, then the feet by this sheet.</source>
   <translation>Die Stockanschläge auf der Grundplatte befestigen, dann die Füße nach diesem Bogen.</translation>
  </message>
  <message>
   <source>Lower the tabs onto the pins one after the other, then let the sheet fall.</source>
   <translation>Die Laschen eine nach der anderen auf die Stifte senken, dann den Bogen fallen lassen.</translation>
  </message>
  <message>
   <source>Pair 1 holds both ways; the others slide along the edge, so that the paper may grow.</source>
   <translation>Paar 1 hält in beide Richtungen; die anderen gleiten die Kante entlang, damit das Papier wachsen kann.</translation>
  </message>
  <message>
   <source>Tape does not hold on damp paper, and punched holes tear.</source>
   <translation>Klebeband hält nicht auf feuchtem Papier, und gestanzte Löcher reißen.</translation>
  </message>
  <message>
   <source>three pairs, the sheet is large</source>
   <translation>drei Paare, der Bogen ist groß</translation>
  </message>
  <message>
   <source>two pairs do</source>
   <translation>zwei Paare genügen</translation>
  </message>
  <message>
   <source>Floppy paper hangs from its tabs: {pairs}.</source>
   <translation>Schlappes Papier hängt an seinen Laschen: {pairs}.</translation>
  </message>
  <message>
   <source>{pulls} pulls: tabs repeat best and stay on throughout.</source>
   <translation>{pulls} Druckgänge: Laschen wiederholen am besten und bleiben die ganze Zeit dran.</translation>
  </message>
  <message>
   <source>from pin to pin</source>
   <translation>von Stift zu Stift</translation>
  </message>
  <message>
   <source>Dry paper only: tape does not hold on damp sheets.</source>
   <translation>Nur trockenes Papier: Klebeband hält nicht auf feuchten Bogen.</translation>
  </message>
  <message>
   <source>Punched holes wear: past 30 pulls tape a tab over them.</source>
   <translation>Gestanzte Löcher leiern aus: nach 30 Drucken eine Lasche darüberkleben.</translation>
  </message>
  <message>
   <source>pair {place}</source>
   <translation>Paar {place}</translation>
  </message>
  <message>
   <source>base</source>
   <translation>Grundplatte</translation>
  </message>
  <message>
   <source>image</source>
   <translation>Bild</translation>
  </message>
  <message>
   <source>wall</source>
   <translation>Wand</translation>
  </message>
  <message>
   <source>floor</source>
   <translation>Boden</translation>
  </message>
  <message>
   <source>tidy</source>
   <translation>Saum</translation>
  </message>
  <message>
   <source>block stop</source>
   <translation>Stockanschlag</translation>
  </message>
  <message>
   <source>paper stop</source>
   <translation>Papieranschlag</translation>
  </message>
  <message>
   <source>pin</source>
   <translation>Stift</translation>
  </message>
  <message>
   <source>tab</source>
   <translation>Lasche</translation>
  </message>
  <message>
   <source>tape</source>
   <translation>Klebeband</translation>
  </message>
  <message>
   <source>cross</source>
   <translation>Kreuz</translation>
  </message>
  <message>
   <source>Laser cutting needs extraction and someone who watches for fire; the board's safety sheet, local rules and trained people come first.</source>
   <translation>Laserschneiden braucht Absaugung und jemanden, der auf Feuer achtet; das Sicherheitsblatt der Platte, örtliche Vorschriften und ausgebildete Leute gehen vor.</translation>
  </message>
  <message>
   <source>Damp paper grows: keep the pack evenly damp. Kept long it moulds; use a biocide only as its safety sheet and local rules say.</source>
   <translation>Feuchtes Papier wächst: den Stapel gleichmäßig feucht halten. Lange gehalten, schimmelt er; ein Biozid nur nach seinem Sicherheitsblatt und örtlichen Vorschriften verwenden.</translation>
  </message>
  <message>
   <source>A block of {size_text} is smaller than the image, {width}: take a larger block.</source>
   <translation>Ein Stock von {size_text} ist kleiner als das Bild, {width}: einen größeren nehmen.</translation>
  </message>
  <message>
   <source>Seen through the paper</source>
   <translation>Durch das Papier gesehen</translation>
  </message>
  <message>
   <source>Cross on cross against the light, near ones first.</source>
   <translation>Kreuz auf Kreuz gegen das Licht, die vorderen zuerst.</translation>
  </message>
  <message>
   <source>The paper's weight is not known</source>
   <translation>Das Papiergewicht ist nicht bekannt</translation>
  </message>
  <message>
   <source>The paper is too thick</source>
   <translation>Das Papier ist zu dick</translation>
  </message>
  <message>
   <source>{known}: marks must be seen through it.</source>
   <translation>{known}: Marken müssen hindurch zu sehen sein.</translation>
  </message>
  <message>
   <source>the four crosses</source>
   <translation>den vier Kreuzen</translation>
  </message>
  <message>
   <source>The block leaves no room for crosses beside the image: take a larger block.</source>
   <translation>Der Stock lässt neben dem Bild keinen Platz für Kreuze: einen größeren nehmen.</translation>
  </message>
  <message>
   <source>Draw the four crosses on each block beside the image, and on the back of every sheet in pencil.</source>
   <translation>Die vier Kreuze auf jeden Stock neben das Bild zeichnen, und mit Bleistift auf die Rückseite jedes Bogens.</translation>
  </message>
  <message>
   <source>Hold the sheet over the block against the light and lay cross on cross, two near ones first.</source>
   <translation>Den Bogen gegen das Licht über den Stock halten und Kreuz auf Kreuz legen, die zwei vorderen zuerst.</translation>
  </message>
  <message>
   <source>Only for paper one sees through; drawn marks must lie outside what is kept.</source>
   <translation>Nur für Papier, durch das man sieht; gezeichnete Marken müssen außerhalb dessen liegen, was bleibt.</translation>
  </message>
  <message>
   <source>The paper is thin enough to be lined up by eye through it.</source>
   <translation>Das Papier ist dünn genug, um mit dem Auge hindurch angelegt zu werden.</translation>
  </message>
  <message>
   <source>from cross to cross</source>
   <translation>von Kreuz zu Kreuz</translation>
  </message>
  <message>
   <source>sideways</source>
   <translation>seitwärts</translation>
  </message>
  <message>
   <source>end over end</source>
   <translation>kopfüber</translation>
  </message>
  <message>
   <source>near</source>
   <translation>vorn</translation>
  </message>
  <message>
   <source>far</source>
   <translation>hinten</translation>
  </message>
  <message>
   <source>There is no ink called {unknown} on the shelf; it has {known}.</source>
   <translation>Im Vorrat gibt es keine Druckfarbe {unknown}; es gibt {known}.</translation>
  </message>
  <message>
   <source>No ink is left to print with; allow at least one.</source>
   <translation>Es bleibt keine Druckfarbe zum Drucken; mindestens eine zulassen.</translation>
  </message>
  <message>
   <source>trying plans with {shape} blocks</source>
   <translation>Pläne mit {shape} Stöcken werden probiert</translation>
  </message>
  <message>
   <source>thin line</source>
   <translation>dünne Linie</translation>
  </message>
  <message>
   <source>narrow channel</source>
   <translation>schmaler Kanal</translation>
  </message>
  <message>
   <source>speck</source>
   <translation>Punkt</translation>
  </message>
  <message>
   <source>island</source>
   <translation>Insel</translation>
  </message>
  <message>
   <source>cutting block masks</source>
   <translation>Stockmasken werden geschnitten</translation>
  </message>
  <message>
   <source>spreading colours</source>
   <translation>Farben werden unterlegt</translation>
  </message>
  <message>
   <source>looking for blocks that could be one</source>
   <translation>Stöcke, die einer sein könnten, werden gesucht</translation>
  </message>
  <message>
   <source>There is no colour to print; flatten a design first.</source>
   <translation>Es gibt keine Farbe zu drucken; erst einen Entwurf auf Flächen bringen.</translation>
  </message>
  <message>
   <source>A plan can have 1 to {most_blocks} blocks, not {most_blocks_2}.</source>
   <translation>Ein Plan kann 1 bis {most_blocks} Stöcke haben, nicht {most_blocks_2}.</translation>
  </message>
  <message>
   <source>trying plans with {layers}</source>
   <translation>Pläne werden probiert: {layers}</translation>
  </message>
  <message>
   <source>adjusting strengths</source>
   <translation>Stärken werden angepasst</translation>
  </message>
  <message>
   <source>lasso</source>
   <translation>Lasso</translation>
  </message>
  <message>
   <source>compare looks</source>
   <translation>Ansichten vergleichen</translation>
  </message>
  <message>
   <source>before the change</source>
   <translation>vor der Änderung</translation>
  </message>
  <message>
   <source>laying both beside each other</source>
   <translation>beides wird nebeneinandergelegt</translation>
  </message>
  <message>
   <source>The sketch is being read: compare again in a moment.</source>
   <translation>Die Skizze wird gelesen: gleich noch einmal vergleichen.</translation>
  </message>
  <message>
   <source>as saved</source>
   <translation>wie gespeichert</translation>
  </message>
  <message>
   <source>Nothing has changed yet.</source>
   <translation>Noch hat sich nichts geändert.</translation>
  </message>
  <message>
   <source>There is no print to compare with: it has no blocks.</source>
   <translation>Es gibt keinen Druck zum Vergleichen: er hat keine Stöcke.</translation>
  </message>
  <message>
   <source>The print is being laid: compare again in a moment.</source>
   <translation>Der Druck wird gelegt: gleich noch einmal vergleichen.</translation>
  </message>
  <message>
   <source>looking for what differs</source>
   <translation>Unterschiede werden gesucht</translation>
  </message>
  <message>
   <source>Print order</source>
   <translation>Druckfolge</translation>
  </message>
  <message>
   <source>{finding} of {found}, {weight}: {said} {remedy}</source>
   <translation>{finding} von {found}, {weight}: {said} {remedy}</translation>
  </message>
  <message>
   <source>{rows} copied: paste them into a table.</source>
   <translation>{rows} kopiert: in eine Tabelle einfügen.</translation>
  </message>
  <message>
   <source>There are no figures in sight: turn to a part of a station that has some.</source>
   <translation>Keine Zahlen in Sicht: zu einem Teil einer Station gehen, der welche hat.</translation>
  </message>
  <message>
   <source>There is no picture on the clipboard: copy one first.</source>
   <translation>Kein Bild in der Zwischenablage: zuerst eines kopieren.</translation>
  </message>
  <message>
   <source>No finding has a place on the sheet.</source>
   <translation>Kein Befund hat eine Stelle auf dem Bogen.</translation>
  </message>
  <message>
   <source>row</source>
   <translation>Zeile</translation>
  </message>
  <message>
   <source>rows</source>
   <translation>Zeilen</translation>
  </message>
  <message>
   <source>{name} is no project; choose a {suffix} file.</source>
   <translation>{name} ist kein Projekt; eine {suffix}-Datei wählen.</translation>
  </message>
  <message>
   <source> The second name that its file had still has the earlier version.</source>
   <translation> Der zweite Name, den die Datei hatte, hat noch den früheren Stand.</translation>
  </message>
  <message>
   <source>Go back to what was saved</source>
   <translation>Zum Gespeicherten zurückgehen</translation>
  </message>
  <message>
   <source>{title}, variant {number_of}</source>
   <translation>{title}, Variante {number_of}</translation>
  </message>
  <message>
   <source>{resolve}. The copy before the last save is {name}.previous; the log of the bench lies beside it.</source>
   <translation>{resolve}. Die Fassung vor dem letzten Speichern ist {name}.previous; das Protokoll der Werkbank liegt daneben.</translation>
  </message>
  <message>
   <source>reading the project</source>
   <translation>Projekt wird gelesen</translation>
  </message>
  <message>
   <source>writing the packet</source>
   <translation>Mappe wird geschrieben</translation>
  </message>
  <message>
   <source>writing the sheet</source>
   <translation>Bogen wird geschrieben</translation>
  </message>
  <message>
   <source>drawing the pages</source>
   <translation>Seiten werden gezeichnet</translation>
  </message>
  <message>
   <source>{error} Until then two windows may open this print.</source>
   <translation>{error} Bis dahin können zwei Fenster diesen Druck öffnen.</translation>
  </message>
  <message>
   <source>Nothing is kept in the studio yet: Edit, Preferences keeps a print's inks.</source>
   <translation>Im Studio ist noch nichts behalten: Bearbeiten, Einstellungen behält die Farben eines Drucks.</translation>
  </message>
  <message>
   <source>{name} is open in another window: this one is saved under a name of its own.</source>
   <translation>{name} ist in einem anderen Fenster offen: dieses wird unter eigenem Namen gespeichert.</translation>
  </message>
  <message>
   <source>{name} is open in a window of {held}: choose another name.</source>
   <translation>{name} ist in einem Fenster von {held} offen: einen anderen Namen wählen.</translation>
  </message>
  <message>
   <source>Saved as {name}.</source>
   <translation>Gespeichert als {name}.</translation>
  </message>
  <message>
   <source>It has no file yet. What you do is kept every 20 s, and offered after a crash.</source>
   <translation>Es gibt noch keine Datei. Alle 20 s wird aufgehoben, was geschieht, und nach einem Absturz angeboten.</translation>
  </message>
  <message>
   <source>The sheet is in {path}.</source>
   <translation>Der Bogen liegt in {path}.</translation>
  </message>
  <message>
   <source>The packet is in {target}: templates in blocks.pdf, the plan in plan.json.</source>
   <translation>Die Mappe liegt in {target}: Schablonen in blocks.pdf, der Plan in plan.json.</translation>
  </message>
  <message>
   <source>Parts of the station</source>
   <translation>Teile der Station</translation>
  </message>
  <message>
   <source>{words_of}. N goes from one to the next on the sheet.</source>
   <translation>{words_of}. N geht auf dem Bogen von einem zum nächsten.</translation>
  </message>
  <message>
   <source>Show this part of the station.</source>
   <translation>Diesen Teil der Station zeigen.</translation>
  </message>
  <message>
   <source>Seen on {visible} % of the image: mean ΔE {mean}, {worst} in the worst hundredth.</source>
   <translation>Sichtbar auf {visible} % des Bildes: mittleres ΔE {mean}, {worst} im schlimmsten Hundertstel.</translation>
  </message>
  <message>
   <source>No difference is seen.</source>
   <translation>Kein Unterschied zu sehen.</translation>
  </message>
  <message>
   <source>Open…</source>
   <translation>Öffnen…</translation>
  </message>
  <message>
   <source>Save</source>
   <translation>Speichern</translation>
  </message>
  <message>
   <source>Print…</source>
   <translation>Drucken…</translation>
  </message>
  <message>
   <source>Packet…</source>
   <translation>Mappe…</translation>
  </message>
  <message>
   <source>Undo</source>
   <translation>Zurück</translation>
  </message>
  <message>
   <source>Redo</source>
   <translation>Wieder</translation>
  </message>
  <message>
   <source>Whole sheet</source>
   <translation>Ganz</translation>
  </message>
  <message>
   <source>True size</source>
   <translation>Wahre Größe</translation>
  </message>
  <message>
   <source>Loupe</source>
   <translation>Lupe</translation>
  </message>
  <message>
   <source>Keys</source>
   <translation>Tasten</translation>
  </message>
  <message>
   <source>Undo {undo}: {key_of}</source>
   <translation>Zurück: {undo} ({key_of})</translation>
  </message>
  <message>
   <source>Redo {redo}: {key_of}</source>
   <translation>Wieder: {redo} ({key_of})</translation>
  </message>
  <message>
   <source>{share_of_true_size:.0f} % of true size</source>
   <translation>{share_of_true_size:.0f} % der wahren Größe</translation>
  </message>
  <message>
   <source>Save •</source>
   <translation>Speichern •</translation>
  </message>
  <message>
   <source>Save, there are unsaved changes</source>
   <translation>Speichern, es gibt ungespeicherte Änderungen</translation>
  </message>
  <message>
   <source>Choose a block first, on the ladder or in the list.</source>
   <translation>Zuerst einen Stock wählen, auf der Leiter oder in der Liste.</translation>
  </message>
  <message>
   <source>'{name}' must end in .png or .pdf.</source>
   <translation>'{name}' muss auf .png oder .pdf enden.</translation>
  </message>
  <message>
   <source>That did not work, through a fault of the program; your project is as it was. What happened is in {}: read it, and send it to us. Nothing of your picture is in it.</source>
   <translation>Das ging durch einen Fehler des Programms schief; das Projekt ist, wie es war. Was geschehen ist, steht in {}: lesen und uns schicken. Vom Bild ist nichts darin.</translation>
  </message>
  <message>
   <source>That did not work, through a fault of the program ({}); your project is as it was.</source>
   <translation>Das ging durch einen Fehler des Programms schief ({}); das Projekt ist, wie es war.</translation>
  </message>
  <message>
   <source>Nomos {version}, Python {python_version}, Qt {qt_version_str}</source>
   <translation>Nomos {version}, Python {python_version}, Qt {qt_version_str}</translation>
  </message>
  <message>
   <source>{now:%Y-%m-%d %H:%M:%S}, at the station {station}</source>
   <translation>{now:%d.%m.%Y %H:%M:%S}, an der Station {station}</translation>
  </message>
  <message>
   <source>Done last:</source>
   <translation>Zuletzt getan:</translation>
  </message>
  <message>
   <source>Find a setting</source>
   <translation>Eine Einstellung finden</translation>
  </message>
  <message>
   <source>Word</source>
   <translation>Wort</translation>
  </message>
  <message>
   <source>Found</source>
   <translation>Gefunden</translation>
  </message>
  <message>
   <source>Any word for it: overlap, kento, extender, Walze.</source>
   <translation>Irgendein Wort dafür: Überlappung, Kento, Lasurmittel, roller.</translation>
  </message>
  <message>
   <source>Nothing is called that. Try another word for it.</source>
   <translation>Nichts heißt so. Versuch ein anderes Wort dafür.</translation>
  </message>
  <message>
   <source>To know:   </source>
   <translation>Zu wissen:   </translation>
  </message>
  <message>
   <source>To know: </source>
   <translation>Zu wissen: </translation>
  </message>
  <message>
   <source>Show or fold away what {weight}.</source>
   <translation>Zeigen oder zuklappen: {weight}.</translation>
  </message>
  <message>
   <source>Do it; Ctrl+Z takes it back.</source>
   <translation>Ausführen; Strg+Z nimmt es zurück.</translation>
  </message>
  <message>
   <source>Show it on the sheet</source>
   <translation>Auf dem Bogen zeigen</translation>
  </message>
  <message>
   <source>Move the sheet to where it is. N goes to the next.</source>
   <translation>Den Bogen dorthin rücken. N geht zum nächsten.</translation>
  </message>
  <message>
   <source>Stop</source>
   <translation>Anhalten</translation>
  </message>
  <message>
   <source>Next: {text}</source>
   <translation>Weiter: {text}</translation>
  </message>
  <message>
   <source>no</source>
   <translation>nein</translation>
  </message>
  <message>
   <source>Guide</source>
   <translation>Handbuch</translation>
  </message>
  <message>
   <source>Find a word…</source>
   <translation>Wort suchen…</translation>
  </message>
  <message>
   <source>Find a word in the guide</source>
   <translation>Ein Wort im Handbuch suchen</translation>
  </message>
  <message>
   <source>Pages of the guide</source>
   <translation>Seiten des Handbuchs</translation>
  </message>
  <message>
   <source>The page</source>
   <translation>Die Seite</translation>
  </message>
  <message>
   <source>There is not enough memory for this; close other programs or make the design smaller.</source>
   <translation>Dafür reicht der Speicher nicht; andere Programme schließen oder den Entwurf verkleinern.</translation>
  </message>
  <message>
   <source>That did not work, through a fault of the program. Your project is as it was.</source>
   <translation>Das ging durch einen Fehler des Programms schief. Das Projekt ist, wie es war.</translation>
  </message>
  <message>
   <source>laying the sheet</source>
   <translation>Bogen wird gelegt</translation>
  </message>
  <message>
   <source>Design</source>
   <translation>Entwurf</translation>
  </message>
  <message>
   <source>Order</source>
   <translation>Folge</translation>
  </message>
  <message>
   <source>Carve</source>
   <translation>Schneiden</translation>
  </message>
  <message>
   <source>Bench</source>
   <translation>Werkbank</translation>
  </message>
  <message>
   <source>The sheet one pull earlier</source>
   <translation>Der Bogen einen Druckgang früher</translation>
  </message>
  <message>
   <source>The sheet one pull later</source>
   <translation>Der Bogen einen Druckgang später</translation>
  </message>
  <message>
   <source>Watch the sheet grow pull by pull; again to stop</source>
   <translation>Den Bogen Druckgang für Druckgang wachsen sehen; noch einmal zum Anhalten</translation>
  </message>
  <message>
   <source>To the next finding, where it is on the sheet</source>
   <translation>Zum nächsten Befund, wo er auf dem Bogen ist</translation>
  </message>
  <message>
   <source>Loupe on and off</source>
   <translation>Lupe ein und aus</translation>
  </message>
  <message>
   <source>Closer</source>
   <translation>Näher</translation>
  </message>
  <message>
   <source>Further away</source>
   <translation>Weiter weg</translation>
  </message>
  <message>
   <source>Full screen, and back</source>
   <translation>Ganzer Bildschirm und zurück</translation>
  </message>
  <message>
   <source>Copy what the sheet shows as a picture</source>
   <translation>Was der Bogen zeigt, als Bild kopieren</translation>
  </message>
  <message>
   <source>Open a sketch or a project</source>
   <translation>Skizze oder Projekt öffnen</translation>
  </message>
  <message>
   <source>A picture from the telephone</source>
   <translation>Ein Bild vom Telefon</translation>
  </message>
  <message>
   <source>Save under another name</source>
   <translation>Unter anderem Namen speichern</translation>
  </message>
  <message>
   <source>Print templates, pulls or carving maps at true size</source>
   <translation>Schablonen, Druckgänge oder Schneidkarten in wahrer Größe drucken</translation>
  </message>
  <message>
   <source>Write the packet of templates and proofs</source>
   <translation>Die Mappe mit Schablonen und Probedrucken schreiben</translation>
  </message>
  <message>
   <source>Find a setting by any word for it</source>
   <translation>Eine Einstellung nach irgendeinem Wort finden</translation>
  </message>
  <message>
   <source>Preferences, and the studio</source>
   <translation>Einstellungen und das Studio</translation>
  </message>
  <message>
   <source>Stop what is running</source>
   <translation>Anhalten, was läuft</translation>
  </message>
  <message>
   <source>The guide, at this station</source>
   <translation>Das Handbuch, zu dieser Station</translation>
  </message>
  <message>
   <source>This list</source>
   <translation>Diese Liste</translation>
  </message>
  <message>
   <source>Tab</source>
   <translation>Tab</translation>
  </message>
  <message>
   <source>To the next control</source>
   <translation>Zum nächsten Bedienelement</translation>
  </message>
  <message>
   <source>Another rung of the ladder, or another row</source>
   <translation>Eine andere Sprosse der Leiter oder eine andere Zeile</translation>
  </message>
  <message>
   <source>Ctrl+↑ ↓</source>
   <translation>Strg+↑ ↓</translation>
  </message>
  <message>
   <source>On the ladder: print it earlier or later</source>
   <translation>Auf der Leiter: früher oder später drucken</translation>
  </message>
  <message>
   <source>Along a strip of patches, the stations, or the sheet</source>
   <translation>Eine Reihe von Feldern, die Stationen oder den Bogen entlang</translation>
  </message>
  <message>
   <source>Page ↑ ↓</source>
   <translation>Bild ↑ ↓</translation>
  </message>
  <message>
   <source>Along a strip of patches, ten steps</source>
   <translation>Eine Reihe von Feldern entlang, zehn Schritte</translation>
  </message>
  <message>
   <source>F held</source>
   <translation>F gehalten</translation>
  </message>
  <message>
   <source>At Design: the sketch in place of what was made of it</source>
   <translation>Beim Entwurf: die Skizze anstelle dessen, was daraus wurde</translation>
  </message>
  <message>
   <source>← → ↑ ↓ Space</source>
   <translation>← → ↑ ↓ Leertaste</translation>
  </message>
  <message>
   <source>On the picture: move a corner; take the next</source>
   <translation>Auf dem Bild: eine Ecke verschieben; die nächste nehmen</translation>
  </message>
  <message>
   <source>Space X R</source>
   <translation>Leertaste X R</translation>
  </message>
  <message>
   <source>At the bench: good, spoiled, repaired; Backspace takes back</source>
   <translation>An der Werkbank: gut, verdorben, ausgebessert; die Rücktaste nimmt zurück</translation>
  </message>
  <message>
   <source>Esc</source>
   <translation>Esc</translation>
  </message>
  <message>
   <source>Close</source>
   <translation>Schließen</translation>
  </message>
  <message>
   <source>Everything works from the keyboard</source>
   <translation>Alles geht mit der Tastatur</translation>
  </message>
  <message>
   <source> or </source>
   <translation> oder </translation>
  </message>
  <message>
   <source>Pull ladder</source>
   <translation>Leiter der Druckgänge</translation>
  </message>
  <message>
   <source>Blue: a lighter colour runs under a darker. Grey: colours run under the key. Red: only a kiss, a gap can open.</source>
   <translation>Blau: eine hellere Farbe läuft unter eine dunklere. Grau: Farben laufen unter die Linien. Rot: nur auf Stoß, ein Blitzer kann aufgehen.</translation>
  </message>
  <message>
   <source>Black: it prints, and must. Blue: it prints, but could be cut away unseen. Pale blue: it could be left standing unseen, the inker may be careless. White: it must go.</source>
   <translation>Schwarz: druckt und muss es. Blau: druckt, könnte aber unbemerkt weggeschnitten werden. Blassblau: könnte unbemerkt stehen bleiben, beim Einfärben darf man achtlos sein. Weiß: muss weg.</translation>
  </message>
  <message>
   <source>The darker, the further two pulls may lie apart there. Triangles: paper flashes most often.</source>
   <translation>Je dunkler, desto weiter können zwei Druckgänge dort auseinanderliegen. Dreiecke: dort blitzt Papier am häufigsten auf.</translation>
  </message>
  <message>
   <source>A pile for every pull, the print on top of it: sheets that go in, less those lost there, in red. Expected on the average; as logged where a layer is done.</source>
   <translation>Ein Stapel je Druckgang, der Druck obenauf: Bogen, die hineingehen, minus die dort verlorenen, rot. Im Mittel erwartet; wie protokolliert, wo ein Druckgang fertig ist.</translation>
  </message>
  <message>
   <source>There are no blocks yet.</source>
   <translation>Es gibt noch keine Stöcke.</translation>
  </message>
  <message>
   <source>Choose a pull on the ladder first.</source>
   <translation>Zuerst auf der Leiter einen Druckgang wählen.</translation>
  </message>
  <message>
   <source>Opened</source>
   <translation>Geöffnet</translation>
  </message>
  <message>
   <source>The picture as it was opened</source>
   <translation>Das Bild, wie es geöffnet wurde</translation>
  </message>
  <message>
   <source>Sketch</source>
   <translation>Skizze</translation>
  </message>
  <message>
   <source>The part of the picture that is printed; held F shows it for a moment</source>
   <translation>Der Teil des Bildes, der gedruckt wird; F gehalten zeigt ihn für einen Augenblick</translation>
  </message>
  <message>
   <source>Outlines</source>
   <translation>Umrisse</translation>
  </message>
  <message>
   <source>The sketch with the outlines of the fields that were found</source>
   <translation>Die Skizze mit den Umrissen der gefundenen Felder</translation>
  </message>
  <message>
   <source>Flat</source>
   <translation>Flächen</translation>
  </message>
  <message>
   <source>The flat colours that are wanted</source>
   <translation>Die gewünschten flachen Farben</translation>
  </message>
  <message>
   <source>The print as it is predicted</source>
   <translation>Der vorhergesagte Druck</translation>
  </message>
  <message>
   <source>Where the chosen pull prints, and what it makes of what lies below</source>
   <translation>Wo der gewählte Druckgang druckt und was er aus dem macht, was darunterliegt</translation>
  </message>
  <message>
   <source>The chosen block alone, in its ink</source>
   <translation>Der gewählte Stock allein, in seiner Farbe</translation>
  </message>
  <message>
   <source>Block face up</source>
   <translation>Druckstock von oben</translation>
  </message>
  <message>
   <source>The chosen block as it lies before you, mirrored</source>
   <translation>Der gewählte Druckstock, wie er vor dir liegt, seitenverkehrt</translation>
  </message>
  <message>
   <source>To cut</source>
   <translation>Schnitt</translation>
  </message>
  <message>
   <source>The carving map of the chosen block, mirrored</source>
   <translation>Die Schneidkarte des gewählten Stocks, gespiegelt</translation>
  </message>
  <message>
   <source>All blocks</source>
   <translation>Alle Stöcke</translation>
  </message>
  <message>
   <source>All blocks as coloured sheets over each other</source>
   <translation>Alle Stöcke als farbige Folien übereinander</translation>
  </message>
  <message>
   <source>Pieces</source>
   <translation>Teile</translation>
  </message>
  <message>
   <source>The pieces of the jigsaw, face up</source>
   <translation>Die Teile des Puzzledrucks, mit der Druckfläche nach oben</translation>
  </message>
  <message>
   <source>Joins</source>
   <translation>Nähte</translation>
  </message>
  <message>
   <source>Where colours run under each other, and where they only meet</source>
   <translation>Wo Farben unter andere laufen und wo sie nur aneinanderstoßen</translation>
  </message>
  <message>
   <source>Free to cut</source>
   <translation>Frei zu schneiden</translation>
  </message>
  <message>
   <source>Where the chosen block may print or not, unseen</source>
   <translation>Wo der gewählte Druckstock drucken darf oder nicht, ungesehen</translation>
  </message>
  <message>
   <source>Out of register</source>
   <translation>Verschoben</translation>
  </message>
  <message>
   <source>How far two pulls may lie apart, place by place</source>
   <translation>Wie weit zwei Druckgänge auseinanderliegen können, Stelle für Stelle</translation>
  </message>
  <message>
   <source>Plans</source>
   <translation>Pläne</translation>
  </message>
  <message>
   <source>The best plan of each number of blocks, beside what is wanted</source>
   <translation>Der beste Plan für jede Zahl von Stöcken, neben dem Gewünschten</translation>
  </message>
  <message>
   <source>Stack</source>
   <translation>Stapel</translation>
  </message>
  <message>
   <source>The sheets at every pull, and how many are lost there</source>
   <translation>Die Bogen bei jedem Druckgang, und wie viele dort verloren gehen</translation>
  </message>
  <message>
   <source>Card</source>
   <translation>Karte</translation>
  </message>
  <message>
   <source>The drawdown card that was read</source>
   <translation>Die gelesene Aufstrichkarte</translation>
  </message>
  <message>
   <source>Practice</source>
   <translation>Übung</translation>
  </message>
  <message>
   <source>The proof to practise on</source>
   <translation>Der Probedruck zum Üben</translation>
  </message>
  <message>
   <source>Number of blocks, and the mean ΔE over the colours. Click a print to take its plan.</source>
   <translation>Zahl der Stöcke und mittleres ΔE über die Farben. Einen Druck anklicken, um seinen Plan zu nehmen.</translation>
  </message>
  <message>
   <source>What the sheet shows</source>
   <translation>Was der Bogen zeigt</translation>
  </message>
  <message>
   <source>What is marked on the wood, and on the sheets that are written</source>
   <translation>Was auf dem Holz angezeichnet wird und auf den geschriebenen Bogen</translation>
  </message>
  <message>
   <source>More looks</source>
   <translation>Mehr Ansichten</translation>
  </message>
  <message>
   <source>Other ways to look at the sheet.</source>
   <translation>Andere Ansichten des Bogens.</translation>
  </message>
  <message>
   <source>What stays</source>
   <translation>Was bleibt</translation>
  </message>
  <message>
   <source>What goes</source>
   <translation>Was weggeht</translation>
  </message>
  <message>
   <source>Open a sketch or a project first.</source>
   <translation>Zuerst eine Skizze oder ein Projekt öffnen.</translation>
  </message>
  <message>
   <source>It has no file yet: save it first.</source>
   <translation>Es gibt noch keine Datei: zuerst speichern.</translation>
  </message>
  <message>
   <source>There are no blocks to print yet, or no room for the system at Register.</source>
   <translation>Es gibt noch keine Stöcke zu drucken, oder unter Passer keinen Platz für das System.</translation>
  </message>
  <message>
   <source>&amp;File</source>
   <translation>&amp;Datei</translation>
  </message>
  <message>
   <source>&amp;Edit</source>
   <translation>&amp;Bearbeiten</translation>
  </message>
  <message>
   <source>&amp;View</source>
   <translation>&amp;Ansicht</translation>
  </message>
  <message>
   <source>&amp;Print</source>
   <translation>D&amp;rucken</translation>
  </message>
  <message>
   <source>&amp;Help</source>
   <translation>&amp;Hilfe</translation>
  </message>
  <message>
   <source>There is nothing to undo.</source>
   <translation>Es gibt nichts rückgängig zu machen.</translation>
  </message>
  <message>
   <source>There is nothing to do again.</source>
   <translation>Es gibt nichts zu wiederholen.</translation>
  </message>
  <message>
   <source>Nothing has changed since it was saved.</source>
   <translation>Seit dem Speichern hat sich nichts geändert.</translation>
  </message>
  <message>
   <source>&amp;Open a sketch or project…</source>
   <translation>Skizze oder Projekt ö&amp;ffnen…</translation>
  </message>
  <message>
   <source>Open &amp;recent</source>
   <translation>&amp;Zuletzt geöffnet</translation>
  </message>
  <message>
   <source>From the &amp;telephone…</source>
   <translation>Vom &amp;Telefon…</translation>
  </message>
  <message>
   <source>Begin with a pasted &amp;picture</source>
   <translation>Mit einem eingefügten &amp;Bild beginnen</translation>
  </message>
  <message>
   <source>&amp;Save</source>
   <translation>&amp;Speichern</translation>
  </message>
  <message>
   <source>Save &amp;as…</source>
   <translation>Speichern &amp;unter…</translation>
  </message>
  <message>
   <source>Save as a &amp;variant and go on in it</source>
   <translation>Als &amp;Variante speichern und darin weiterarbeiten</translation>
  </message>
  <message>
   <source>&amp;Where is my file?</source>
   <translation>&amp;Wo ist meine Datei?</translation>
  </message>
  <message>
   <source>Write the pac&amp;ket…</source>
   <translation>&amp;Mappe schreiben…</translation>
  </message>
  <message>
   <source>&amp;Export what the sheet shows…</source>
   <translation>&amp;Ausgeben, was der Bogen zeigt…</translation>
  </message>
  <message>
   <source>&amp;Quit</source>
   <translation>B&amp;eenden</translation>
  </message>
  <message>
   <source>&amp;Undo</source>
   <translation>&amp;Rückgängig</translation>
  </message>
  <message>
   <source>&amp;Redo</source>
   <translation>&amp;Wiederholen</translation>
  </message>
  <message>
   <source>&amp;Copy the figures as a table</source>
   <translation>&amp;Zahlen als Tabelle kopieren</translation>
  </message>
  <message>
   <source>Copy the &amp;picture</source>
   <translation>Das &amp;Bild kopieren</translation>
  </message>
  <message>
   <source>&amp;Find a setting…</source>
   <translation>Einstellung &amp;finden …</translation>
  </message>
  <message>
   <source>&amp;Preferences and studio…</source>
   <translation>&amp;Einstellungen und Studio…</translation>
  </message>
  <message>
   <source>&amp;Whole sheet</source>
   <translation>&amp;Ganzer Bogen</translation>
  </message>
  <message>
   <source>&amp;True size</source>
   <translation>&amp;Wahre Größe</translation>
  </message>
  <message>
   <source>&amp;Closer</source>
   <translation>&amp;Näher</translation>
  </message>
  <message>
   <source>&amp;Further away</source>
   <translation>Weiter w&amp;eg</translation>
  </message>
  <message>
   <source>&amp;Loupe</source>
   <translation>&amp;Lupe</translation>
  </message>
  <message>
   <source>One pull &amp;earlier</source>
   <translation>Einen Druckgang &amp;früher</translation>
  </message>
  <message>
   <source>One pull l&amp;ater</source>
   <translation>Einen Druckgang &amp;später</translation>
  </message>
  <message>
   <source>Watch the sheet &amp;grow</source>
   <translation>Den Bogen wa&amp;chsen sehen</translation>
  </message>
  <message>
   <source>To the &amp;next finding</source>
   <translation>Zum nächsten &amp;Befund</translation>
  </message>
  <message>
   <source>Beside the &amp;sketch</source>
   <translation>Neben der S&amp;kizze</translation>
  </message>
  <message>
   <source>&amp;Before and after the last change</source>
   <translation>&amp;Vor und nach der letzten Änderung</translation>
  </message>
  <message>
   <source>Beside the print as sa&amp;ved</source>
   <translation>Neben dem &amp;gespeicherten Druck</translation>
  </message>
  <message>
   <source>Beside the print of another f&amp;ile…</source>
   <translation>Neben dem Druck einer anderen &amp;Datei…</translation>
  </message>
  <message>
   <source>&amp;Map of where both differ</source>
   <translation>&amp;Karte der Unterschiede</translation>
  </message>
  <message>
   <source>&amp;One print alone</source>
   <translation>Ein Druck &amp;allein</translation>
  </message>
  <message>
   <source>F&amp;ull screen</source>
   <translation>&amp;Ganzer Bildschirm</translation>
  </message>
  <message>
   <source>&amp;Print at true size…</source>
   <translation>In wahrer Größe &amp;drucken…</translation>
  </message>
  <message>
   <source>&amp;Guide to this station</source>
   <translation>&amp;Handbuch zu dieser Station</translation>
  </message>
  <message>
   <source>&amp;Walk through a demo</source>
   <translation>&amp;Gang durch ein Beispiel</translation>
  </message>
  <message>
   <source>&amp;Keys</source>
   <translation>&amp;Tasten</translation>
  </message>
  <message>
   <source>&amp;About Nomos</source>
   <translation>Ü&amp;ber Nomos</translation>
  </message>
  <message>
   <source>Settings that are good as they are for most prints.</source>
   <translation>Einstellungen, die für die meisten Drucke gut sind, wie sie sind.</translation>
  </message>
  <message>
   <source>Decided for you: {said}.</source>
   <translation>Für dich entschieden: {said}.</translation>
  </message>
  <message>
   <source>Less</source>
   <translation>Weniger</translation>
  </message>
  <message>
   <source>More settings</source>
   <translation>Mehr Einstellungen</translation>
  </message>
  <message>
   <source>Print the templates</source>
   <translation>Die Schablonen drucken</translation>
  </message>
  <message>
   <source>At 100 %, then measure the bar of 100 mm before you cut by them.</source>
   <translation>Mit 100 %, dann den Balken von 100 mm nachmessen, bevor du danach schneidest.</translation>
  </message>
  <message>
   <source>The bench knows which sheet and which pull is next.</source>
   <translation>Der Tisch weiß, welcher Bogen und welcher Druckgang an der Reihe ist.</translation>
  </message>
  <message>
   <source>Open a sketch</source>
   <translation>Eine Skizze öffnen</translation>
  </message>
  <message>
   <source>Everything begins with a picture; Ctrl+T takes one from the telephone.</source>
   <translation>Alles beginnt mit einem Bild; Strg+T holt eines vom Telefon.</translation>
  </message>
  <message>
   <source>Say how large the print is</source>
   <translation>Sagen, wie groß der Druck ist</translation>
  </message>
  <message>
   <source>The picture does not say it, so it is a guess.</source>
   <translation>Das Bild sagt es nicht, es ist also geraten.</translation>
  </message>
  <message>
   <source>Choose the blocks</source>
   <translation>Die Druckstöcke wählen</translation>
  </message>
  <message>
   <source>Nothing prints yet.</source>
   <translation>Noch druckt nichts.</translation>
  </message>
  <message>
   <source>Make room to register</source>
   <translation>Platz zum Anlegen schaffen</translation>
  </message>
  <message>
   <source>thing</source>
   <translation>Sache</translation>
  </message>
  <message>
   <source>things</source>
   <translation>Sachen</translation>
  </message>
  <message>
   <source>Look at {many} that will fail</source>
   <translation>{many} ansehen: misslingt so</translation>
  </message>
  <message>
   <source>Save the print</source>
   <translation>Den Druck sichern</translation>
  </message>
  <message>
   <source>It has no file yet.</source>
   <translation>Er hat noch keine Datei.</translation>
  </message>
  <message>
   <source>Choose and number the sheets</source>
   <translation>Die Bogen auswählen und nummerieren</translation>
  </message>
  <message>
   <source>Every layer is printed on every sheet that is left.</source>
   <translation>Jede Schicht ist auf jedem verbliebenen Bogen gedruckt.</translation>
  </message>
  <message>
   <source>Photograph a proof</source>
   <translation>Einen Andruck fotografieren</translation>
  </message>
  <message>
   <source>It tells what is out of register, by how much, and what to glue.</source>
   <translation>Er sagt, was nicht passt, um wie viel, und was anzukleben ist.</translation>
  </message>
  <message>
   <source>Go on printing {name}</source>
   <translation>{name} weiterdrucken</translation>
  </message>
  <message>
   <source>Go on at the bench</source>
   <translation>Am Tisch weitermachen</translation>
  </message>
  <message>
   <source>Put away</source>
   <translation>Weglegen</translation>
  </message>
  <message>
   <source>Qt and PyQt (GPL v3), NumPy, SciPy, OpenCV, Pillow, resvg, lxml, ReportLab, Shapely, msgspec, icalendar, ezdxf, pypdfium2, pillow-heif, segno and platformdirs under licences of their own; the typeface is Lato (SIL OFL).</source>
   <translation>Qt und PyQt (GPL v3), NumPy, SciPy, OpenCV, Pillow, resvg, lxml, ReportLab, Shapely, msgspec, icalendar, ezdxf, pypdfium2, pillow-heif, segno und platformdirs unter eigenen Lizenzen; die Schrift ist Lato (SIL OFL).</translation>
  </message>
  <message>
   <source>About Nomos</source>
   <translation>Über Nomos</translation>
  </message>
  <message>
   <source>Nomos {own}</source>
   <translation>Nomos {own}</translation>
  </message>
  <message>
   <source>For people who print relief blocks in several colours. It is free software under the licence in the file LICENSE. It stands on {parts}</source>
   <translation>Für Leute, die Hochdruckstöcke in mehreren Farben drucken. Freie Software unter der Lizenz in der Datei LICENSE. Es steht auf {parts}</translation>
  </message>
  <message>
   <source>{path} cannot be written; save the picture first and open it.</source>
   <translation>{path} lässt sich nicht schreiben; das Bild erst speichern und dann öffnen.</translation>
  </message>
  <message>
   <source>{folder} cannot be made ({what}); save the picture first.</source>
   <translation>{folder} lässt sich nicht anlegen ({what}); das Bild erst speichern.</translation>
  </message>
  <message>
   <source>Lightness</source>
   <translation>Helligkeit</translation>
  </message>
  <message>
   <source>Chroma</source>
   <translation>Buntheit</translation>
  </message>
  <message>
   <source>Hue</source>
   <translation>Farbton</translation>
  </message>
  <message>
   <source>Number of colours</source>
   <translation>Zahl der Farben</translation>
  </message>
  <message>
   <source>Leave it as it is</source>
   <translation>So lassen</translation>
  </message>
  <message>
   <source>millimetres</source>
   <translation>Millimeter</translation>
  </message>
  <message>
   <source>inches</source>
   <translation>Zoll</translation>
  </message>
  <message>
   <source>as the desktop</source>
   <translation>wie das System</translation>
  </message>
  <message>
   <source>Preferences and studio</source>
   <translation>Einstellungen und Studio</translation>
  </message>
  <message>
   <source>Begin new prints without it</source>
   <translation>Neue Drucke ohne das beginnen</translation>
  </message>
  <message>
   <source>Start Nomos anew with these</source>
   <translation>Nomos damit neu starten</translation>
  </message>
  <message>
   <source>Closes this window and opens it again on the same file.</source>
   <translation>Schließt dieses Fenster und öffnet es auf derselben Datei wieder.</translation>
  </message>
  <message>
   <source>the usual ones</source>
   <translation>die üblichen</translation>
  </message>
  <message>
   <source>all of them</source>
   <translation>alle</translation>
  </message>
  <message>
   <source>Size of the text</source>
   <translation>Schriftgröße</translation>
  </message>
  <message>
   <source>Of all words in the window.</source>
   <translation>Aller Wörter im Fenster.</translation>
  </message>
  <message>
   <source>Light or dark</source>
   <translation>Hell oder dunkel</translation>
  </message>
  <message>
   <source>How the window looks.</source>
   <translation>Wie das Fenster aussieht.</translation>
  </message>
  <message>
   <source>Lengths in</source>
   <translation>Längen in</translation>
  </message>
  <message>
   <source>Any unit can be typed; they are read in this one.</source>
   <translation>Jede Einheit kann getippt werden; gelesen werden sie in dieser.</translation>
  </message>
  <message>
   <source>Settings</source>
   <translation>Einstellungen</translation>
  </message>
  <message>
   <source>The others are behind More settings, and found by Ctrl+F.</source>
   <translation>Die anderen stehen hinter „Mehr Einstellungen“ und werden mit Strg+F gefunden.</translation>
  </message>
  <message>
   <source>Language</source>
   <translation>Sprache</translation>
  </message>
  <message>
   <source>Of the window; commands speak English.</source>
   <translation>Des Fensters; Befehle sprechen Englisch.</translation>
  </message>
  <message>
   <source>Templates on</source>
   <translation>Schablonen auf</translation>
  </message>
  <message>
   <source>The paper that templates are printed on; larger ones come as tiles.</source>
   <translation>Das Papier, auf das Schablonen gedruckt werden; größere kommen in Teilen.</translation>
  </message>
  <message>
   <source>Keep this print's tools, paper and inks</source>
   <translation>Werkzeuge, Papier und Farben dieses Drucks behalten</translation>
  </message>
  <message>
   <source>Carry it to a file…</source>
   <translation>In eine Datei mitnehmen…</translation>
  </message>
  <message>
   <source>Bring one in…</source>
   <translation>Eine hereinholen…</translation>
  </message>
  <message>
   <source>This machine</source>
   <translation>Dieser Rechner</translation>
  </message>
  <message>
   <source>Text, light, lengths and language change when Nomos is next started.</source>
   <translation>Schrift, Helligkeit, Längen und Sprache ändern sich beim nächsten Start von Nomos.</translation>
  </message>
  <message>
   <source>The studio</source>
   <translation>Das Studio</translation>
  </message>
  <message>
   <source>Tools, boards, rollers, times, papers, inks and how far your sheets meet: kept from one print and given to the next new one.</source>
   <translation>Werkzeuge, Platten, Walzen, Zeiten, Papiere, Druckfarben und wie gut die Bogen passen: von einem Druck behalten und dem nächsten neuen mitgegeben.</translation>
  </message>
  <message>
   <source>Nothing is kept yet: a new print begins as a first edition.</source>
   <translation>Noch nichts behalten: ein neuer Druck beginnt als erste Auflage.</translation>
  </message>
  <message>
   <source>A PDF file…</source>
   <translation>Eine PDF-Datei…</translation>
  </message>
  <message>
   <source>Printers are often off by half a millimetre in a hundred. Print the check page once, measure its bars, and every page comes out right on this printer.</source>
   <translation>Drucker weichen oft um einen halben Millimeter auf hundert ab. Einmal die Prüfseite drucken und ihre Balken messen, dann stimmt auf diesem Drucker jede Seite.</translation>
  </message>
  <message>
   <source>Lay a ruler on the page that was printed: the printer's own error is then put right.</source>
   <translation>Ein Lineal auf die gedruckte Seite legen: der Fehler des Druckers wird dann ausgeglichen.</translation>
  </message>
  <message>
   <source>Templates</source>
   <translation>Schablonen</translation>
  </message>
  <message>
   <source>Pulls</source>
   <translation>Druckgänge</translation>
  </message>
  <message>
   <source>Carving</source>
   <translation>Schneiden</translation>
  </message>
  <message>
   <source>Tracing</source>
   <translation>Pause</translation>
  </message>
  <message>
   <source>Both</source>
   <translation>Beide</translation>
  </message>
  <message>
   <source>Print at true size</source>
   <translation>In wahrer Größe drucken</translation>
  </message>
  <message>
   <source>What lies in the printer.</source>
   <translation>Was im Drucker liegt.</translation>
  </message>
  <message>
   <source>Printer</source>
   <translation>Drucker</translation>
  </message>
  <message>
   <source>Printers that this machine knows.</source>
   <translation>Drucker, die dieser Rechner kennt.</translation>
  </message>
  <message>
   <source>Bar along the page measures</source>
   <translation>Balken längs der Seite misst</translation>
  </message>
  <message>
   <source>Bar across it measures</source>
   <translation>Balken quer dazu misst</translation>
  </message>
  <message>
   <source>Drawing the pages…</source>
   <translation>Seiten werden gezeichnet…</translation>
  </message>
  <message>
   <source>1 page</source>
   <translation>1 Seite</translation>
  </message>
  <message>
   <source>{count} pages</source>
   <translation>{count} Seiten</translation>
  </message>
  <message>
   <source>{pages} sent to {what}.</source>
   <translation>{pages} an {what} geschickt.</translation>
  </message>
  <message>
   <source>Print the check page</source>
   <translation>Prüfseite drucken</translation>
  </message>
  <message>
   <source>What is printed</source>
   <translation>Was gedruckt wird</translation>
  </message>
  <message>
   <source>Where</source>
   <translation>Wo</translation>
  </message>
  <message>
   <source>The printer's scale</source>
   <translation>Der Maßstab des Druckers</translation>
  </message>
  <message>
   <source>Choose a block at least.</source>
   <translation>Mindestens einen Stock wählen.</translation>
  </message>
  <message>
   <source>{name} cannot be written ({what}); choose another place.</source>
   <translation>{name} lässt sich nicht schreiben ({what}); einen anderen Ort wählen.</translation>
  </message>
  <message>
   <source>This printer leaves {widest_mm:.0f} mm free at an edge: the check bar may be cut off.</source>
   <translation>Dieser Drucker lässt an einer Kante {widest_mm:.0f} mm frei: der Prüfbalken kann abgeschnitten werden.</translation>
  </message>
  <message>
   <source>The printer takes nothing: is it on, is there room for the file?</source>
   <translation>Der Drucker nimmt nichts an: ist er an, ist Platz für die Datei?</translation>
  </message>
  <message>
   <source>The printer stopped in the middle: print the pages that are missing again.</source>
   <translation>Der Drucker hat mittendrin aufgehört: die fehlenden Seiten noch einmal drucken.</translation>
  </message>
  <message>
   <source>save</source>
   <translation>speichern</translation>
  </message>
  <message>
   <source>discard</source>
   <translation>wegwerfen</translation>
  </message>
  <message>
   <source>cancel</source>
   <translation>abbrechen</translation>
  </message>
  <message>
   <source>Sketches and projects (*.png *.jpg *.jpeg *.tif *.tiff *.webp *.heic *.avif *.gif *.bmp *.pdf *.ora *.svg *.nomos);;All files (*)</source>
   <translation>Skizzen und Projekte (*.png *.jpg *.jpeg *.tif *.tiff *.webp *.heic *.avif *.gif *.bmp *.pdf *.ora *.svg *.nomos);;Alle Dateien (*)</translation>
  </message>
  <message>
   <source>Ink shelves (*.csv *.json);;All files (*)</source>
   <translation>Farbvorräte (*.csv *.json);;Alle Dateien (*)</translation>
  </message>
  <message>
   <source>Scans (*.png *.jpg *.jpeg *.tif *.tiff *.webp *.heic);;Tables (*.csv *.txt *.cgats);;All files (*)</source>
   <translation>Scans (*.png *.jpg *.jpeg *.tif *.tiff *.webp *.heic);;Tabellen (*.csv *.txt *.cgats);;Alle Dateien (*)</translation>
  </message>
  <message>
   <source>Readings (*.csv *.txt *.cgats);;All files (*)</source>
   <translation>Messungen (*.csv *.txt *.cgats);;Alle Dateien (*)</translation>
  </message>
  <message>
   <source>Blocks (*.ora *.png *.tif *.tiff);;All files (*)</source>
   <translation>Stöcke (*.ora *.png *.tif *.tiff);;Alle Dateien (*)</translation>
  </message>
  <message>
   <source>Nomos project (*.nomos)</source>
   <translation>Nomos-Projekt (*.nomos)</translation>
  </message>
  <message>
   <source>Picture (*.png);;True size (*.pdf)</source>
   <translation>Bild (*.png);;Wahre Größe (*.pdf)</translation>
  </message>
  <message>
   <source>Open an ink shelf</source>
   <translation>Farbvorrat öffnen</translation>
  </message>
  <message>
   <source>Bring blocks in</source>
   <translation>Stöcke hereinholen</translation>
  </message>
  <message>
   <source>Open a scan</source>
   <translation>Scan öffnen</translation>
  </message>
  <message>
   <source>Open readings</source>
   <translation>Messungen öffnen</translation>
  </message>
  <message>
   <source>Save the project</source>
   <translation>Projekt speichern</translation>
  </message>
  <message>
   <source>Carry the studio to a file</source>
   <translation>Studio in eine Datei mitnehmen</translation>
  </message>
  <message>
   <source>Studio (*.json)</source>
   <translation>Studio (*.json)</translation>
  </message>
  <message>
   <source>Bring a studio in</source>
   <translation>Studio hereinholen</translation>
  </message>
  <message>
   <source>Export what the sheet shows</source>
   <translation>Ausgeben, was der Bogen zeigt</translation>
  </message>
  <message>
   <source>Print into a file</source>
   <translation>In eine Datei drucken</translation>
  </message>
  <message>
   <source>PDF (*.pdf)</source>
   <translation>PDF (*.pdf)</translation>
  </message>
  <message>
   <source>Folder for the packet</source>
   <translation>Ordner für die Mappe</translation>
  </message>
  <message>
   <source>is there already.</source>
   <translation>ist schon da.</translation>
  </message>
  <message>
   <source>has been written by another window or program since.</source>
   <translation>ist seither von einem anderen Fenster oder Programm geschrieben worden.</translation>
  </message>
  <message>
   <source>Another file is there</source>
   <translation>Eine andere Datei ist da</translation>
  </message>
  <message>
   <source>Writing over it keeps it beside as .previous; nothing else is kept of it.</source>
   <translation>Beim Überschreiben bleibt sie als .previous daneben; sonst bleibt nichts von ihr.</translation>
  </message>
  <message>
   <source>Write over it</source>
   <translation>Überschreiben</translation>
  </message>
  <message>
   <source>Open in another window</source>
   <translation>In einem anderen Fenster offen</translation>
  </message>
  <message>
   <source>{name} is open in a window of {holder}.</source>
   <translation>{name} ist in einem Fenster von {holder} offen.</translation>
  </message>
  <message>
   <source>It can be looked at here, and saved under another name.</source>
   <translation>Hier lässt es sich ansehen und unter anderem Namen speichern.</translation>
  </message>
  <message>
   <source>Leave it closed</source>
   <translation>Geschlossen lassen</translation>
  </message>
  <message>
   <source>Open it to look at</source>
   <translation>Zum Ansehen öffnen</translation>
  </message>
  <message>
   <source>Not saved yet</source>
   <translation>Noch nicht gespeichert</translation>
  </message>
  <message>
   <source>Throw them away</source>
   <translation>Wegwerfen</translation>
  </message>
  <message>
   <source>Go on working</source>
   <translation>Weiterarbeiten</translation>
  </message>
  <message>
   <source>Unsaved work</source>
   <translation>Ungespeicherte Arbeit</translation>
  </message>
  <message>
   <source>Throw it away</source>
   <translation>Wegwerfen</translation>
  </message>
  <message>
   <source>Take it up</source>
   <translation>Weitermachen</translation>
  </message>
  <message>
   <source>The file has another name</source>
   <translation>Die Datei heißt jetzt anders</translation>
  </message>
  <message>
   <source>{title} was opened from {name}, which is called {now} now.</source>
   <translation>{title} wurde aus {name} geöffnet; die Datei heißt jetzt {now}.</translation>
  </message>
  <message>
   <source>It can go on in that file, with its record of the bench, or under a name of its own.</source>
   <translation>Es kann in dieser Datei weitergehen, mit dem Protokoll von der Werkbank, oder unter eigenem Namen.</translation>
  </message>
  <message>
   <source>Under a name of its own</source>
   <translation>Unter eigenem Namen</translation>
  </message>
  <message>
   <source>Go on in it</source>
   <translation>Darin weitermachen</translation>
  </message>
  <message>
   <source>Printed already</source>
   <translation>Schon gedruckt</translation>
  </message>
  <message>
   <source>The log keeps what was printed. Change the plan all the same?</source>
   <translation>Das Protokoll behält, was gedruckt wurde. Den Plan trotzdem ändern?</translation>
  </message>
  <message>
   <source>Keep the plan</source>
   <translation>Plan behalten</translation>
  </message>
  <message>
   <source>Change it</source>
   <translation>Ändern</translation>
  </message>
  <message>
   <source>Save the changes to {title}?</source>
   <translation>Die Änderungen an {title} speichern?</translation>
  </message>
  <message>
   <source>Nomos ended without saving {title}. Take it up where it stood?</source>
   <translation>Nomos endete, ohne {title} zu speichern. Dort weitermachen, wo es stand?</translation>
  </message>
  <message>
   <source>A copy of unsaved work is damaged and was left in {folder}: {damaged}.</source>
   <translation>Eine Kopie ungespeicherter Arbeit ist beschädigt und blieb in {folder}: {damaged}.</translation>
  </message>
  <message>
   <source>Unsaved work cannot be kept beside ({error}). Save it soon.</source>
   <translation>Ungespeicherte Arbeit lässt sich nicht nebenher aufheben ({error}). Bald speichern.</translation>
  </message>
  <message>
   <source>{path} is not there any more, or is another print now: save this work under a name.</source>
   <translation>{path} ist nicht mehr da oder ist jetzt ein anderer Druck: diese Arbeit unter einem Namen sichern.</translation>
  </message>
  <message>
   <source>where they differ</source>
   <translation>wo sie sich unterscheiden</translation>
  </message>
  <message>
   <source>{width_mm} across</source>
   <translation>{width_mm} breit</translation>
  </message>
  <message>
   <source>now</source>
   <translation>jetzt</translation>
  </message>
  <message>
   <source>{unit_mm:g}</source>
   <translation>{unit_mm:g}</translation>
  </message>
  <message>
   <source>{said}    margin, bare paper</source>
   <translation>{said}    Rand, blankes Papier</translation>
  </message>
  <message>
   <source>predicted {lab_text}</source>
   <translation>vorhergesagt {lab_text}</translation>
  </message>
  <message>
   <source>wanted {lab_text} ({name})</source>
   <translation>gewünscht {lab_text} ({name})</translation>
  </message>
  <message>
   <source>prints {prints}</source>
   <translation>druckt {prints}</translation>
  </message>
  <message>
   <source>bare paper</source>
   <translation>blankes Papier</translation>
  </message>
  <message>
   <source>ΔE {delta_e00}</source>
   <translation>ΔE {delta_e00}</translation>
  </message>
  <message>
   <source>where</source>
   <translation>wo</translation>
  </message>
  <message>
   <source>outlined</source>
   <translation>umrissen</translation>
  </message>
  <message>
   <source>carved</source>
   <translation>geschnitten</translation>
  </message>
  <message>
   <source>pieces</source>
   <translation>Teile</translation>
  </message>
  <message>
   <source>traps</source>
   <translation>Überfüllungen</translation>
  </message>
  <message>
   <source>free</source>
   <translation>frei</translation>
  </message>
  <message>
   <source>card</source>
   <translation>Karte</translation>
  </message>
  <message>
   <source>apart</source>
   <translation>auseinander</translation>
  </message>
  <message>
   <source>exercise</source>
   <translation>Übung</translation>
  </message>
  <message>
   <source>stack</source>
   <translation>Stapel</translation>
  </message>
  <message>
   <source>plans</source>
   <translation>Pläne</translation>
  </message>
  <message>
   <source>{what} was dropped: the print was changed meanwhile. Ask for it once more.</source>
   <translation>{what} wurde verworfen: der Druck wurde inzwischen geändert. Noch einmal verlangen.</translation>
  </message>
  <message>
   <source>Stations</source>
   <translation>Stationen</translation>
  </message>
  <message>
   <source>Block {width}, seen through the sheet</source>
   <translation>Stock {width}, durch den Bogen gesehen</translation>
  </message>
  <message>
   <source>If the telephone finds nothing: both must be on the same network, and a firewall on this machine must let port {port} in while this is open. A cable or a synchronised folder does it too.</source>
   <translation>Findet das Telefon nichts: beide müssen im selben Netz sein, und eine Firewall auf diesem Rechner muss Port {port} einlassen, solange dies offen ist. Ein Kabel oder ein synchronisierter Ordner tut es auch.</translation>
  </message>
  <message>
   <source>{folder} cannot be read ({what}).</source>
   <translation>{folder} ist nicht zu lesen ({what}).</translation>
  </message>
  <message>
   <source>From the telephone</source>
   <translation>Vom Telefon</translation>
  </message>
  <message>
   <source>Code of the address</source>
   <translation>Code der Adresse</translation>
  </message>
  <message>
   <source>Address of this machine</source>
   <translation>Adresse dieses Rechners</translation>
  </message>
  <message>
   <source>Choose the one the telephone is on.</source>
   <translation>Die wählen, in deren Netz das Telefon ist.</translation>
  </message>
  <message>
   <source>Watch a folder instead…</source>
   <translation>Stattdessen einen Ordner beobachten…</translation>
  </message>
  <message>
   <source>Choose a file…</source>
   <translation>Datei wählen…</translation>
  </message>
  <message>
   <source>Waiting for a picture.</source>
   <translation>Warte auf ein Bild.</translation>
  </message>
  <message>
   <source>Open {name}</source>
   <translation>{name} öffnen</translation>
  </message>
  <message>
   <source>Folder to watch</source>
   <translation>Ordner zum Beobachten</translation>
  </message>
  <message>
   <source>Choose a picture</source>
   <translation>Bild wählen</translation>
  </message>
  <message>
   <source>Watching {folder}.</source>
   <translation>Beobachte {folder}.</translation>
  </message>
  <message>
   <source>New pictures in it are offered: synchronised, or by cable.</source>
   <translation>Neue Bilder darin werden angeboten: synchronisiert oder per Kabel.</translation>
  </message>
  <message>
   <source>A picture that is on this machine already.</source>
   <translation>Ein Bild, das schon auf diesem Rechner liegt.</translation>
  </message>
  <message>
   <source>Point the telephone's camera at this code.</source>
   <translation>Die Kamera des Telefons auf diesen Code richten.</translation>
  </message>
  <message>
   <source>Begin with it; at Register and at the bench it is read as a proof.</source>
   <translation>Damit beginnen; beim Passer und an der Werkbank wird es als Probedruck gelesen.</translation>
  </message>
  <message>
   <source>{name} has arrived.</source>
   <translation>{name} ist angekommen.</translation>
  </message>
  <message>
   <source>{count} have arrived.</source>
   <translation>{count} sind angekommen.</translation>
  </message>
  <message>
   <source>{folder} cannot be written ({what}).</source>
   <translation>{folder} lässt sich nicht beschreiben ({what}).</translation>
  </message>
  <message>
   <source>cut {planned_sheets}</source>
   <translation>{planned_sheets} zuschneiden</translation>
  </message>
  <message>
   <source>, {out} out</source>
   <translation>, {out} verschoben</translation>
  </message>
  <message>
   <source>{colours} colours, {size}</source>
   <translation>{colours} Farben, {size}</translation>
  </message>
  <message>
   <source>{material}, {tools} tools</source>
   <translation>{material}, {tools} Werkzeuge</translation>
  </message>
  <message>
   <source>one sheet at a time</source>
   <translation>ein Bogen nach dem anderen</translation>
  </message>
  <message>
   <source> on the block</source>
   <translation> auf dem Stock</translation>
  </message>
  <message>
   <source>no room for {name}</source>
   <translation>kein Platz: {name}</translation>
  </message>
  <message>
   <source>1 board, {count} states</source>
   <translation>1 Platte, {count} Zustände</translation>
  </message>
  <message>
   <source>finished print</source>
   <translation>fertiger Druck</translation>
  </message>
  <message>
   <source>Nomos</source>
   <translation>Nomos</translation>
  </message>
  <message>
   <source>not saved yet</source>
   <translation>noch nicht gespeichert</translation>
  </message>
  <message>
   <source>, only to look at</source>
   <translation>, nur zum Ansehen</translation>
  </message>
  <message>
   <source>, changed</source>
   <translation>, geändert</translation>
  </message>
  <message>
   <source>{title} ({name}{state}) — Nomos</source>
   <translation>{title} ({name}{state}) — Nomos</translation>
  </message>
  <message>
   <source>open a sketch</source>
   <translation>eine Skizze öffnen</translation>
  </message>
  <message>
   <source>mean ΔE {mean_de00}{found}</source>
   <translation>mittl. ΔE {mean_de00}{found}</translation>
  </message>
  <message>
   <source>working</source>
   <translation>rechnet</translation>
  </message>
  <message>
   <source>too few survive</source>
   <translation>zu wenige überleben</translation>
  </message>
  <message>
   <source>finding</source>
   <translation>Befund</translation>
  </message>
  <message>
   <source>findings</source>
   <translation>Befunde</translation>
  </message>
  <message>
   <source>Open a sketch or a project…</source>
   <translation>Skizze oder Projekt öffnen…</translation>
  </message>
  <message>
   <source>Look at a demo first: blocks and a key</source>
   <translation>Erst ein Beispiel ansehen: Stöcke und Linien</translation>
  </message>
  <message>
   <source>Or walk through it in two minutes</source>
   <translation>Oder in zwei Minuten hindurchgehen</translation>
  </message>
  <message>
   <source>A photograph of a sketch</source>
   <translation>Ein Foto einer Skizze</translation>
  </message>
  <message>
   <source>A reduction</source>
   <translation>Eine verlorene Platte</translation>
  </message>
  <message>
   <source>A jigsaw</source>
   <translation>Ein Puzzledruck</translation>
  </message>
  <message>
   <source>Start with a coloured sketch</source>
   <translation>Mit einer farbigen Skizze beginnen</translation>
  </message>
  <message>
   <source>A photograph, scan or drawing of the print you have in mind: PNG, JPEG, TIFF, WebP or SVG. You can also drop the file here.</source>
   <translation>Ein Foto, Scan oder eine Zeichnung des Drucks, der werden soll: PNG, JPEG, TIFF, WebP oder SVG. Die Datei lässt sich auch hierher ziehen.</translation>
  </message>
  <message>
   <source>Nomos finds the sheet, straightens it, reads it as a few flat colours and a line, shows the print as the inks will overlap, and draws templates at true size.</source>
   <translation>Nomos findet den Bogen, richtet ihn gerade, liest ihn als wenige flache Farben und eine Linie, zeigt den Druck mit überlappenden Farben und zeichnet Schablonen in wahrer Größe.</translation>
  </message>
  <message>
   <source>answers</source>
   <translation>Antworten</translation>
  </message>
  <message>
   <source>ladder</source>
   <translation>Leiter</translation>
  </message>
  <message>
   <source>buttons</source>
   <translation>Knöpfe</translation>
  </message>
  <message>
   <source>This is a sketch that has been opened: read as nine flat colours, one of them bare paper. Too many, or two that are one? Click a field, or choose another number.</source>
   <translation>Dies ist eine geöffnete Skizze: gelesen als neun flache Farben, eine davon blankes Papier. Zu viele, oder zwei, die eine sind? Ein Feld anklicken oder eine andere Zahl wählen.</translation>
  </message>
  <message>
   <source>Each rung is one pull: paper on top, the finished print at the foot. Click one to see the sheet as it is then; drag one to print in another order.</source>
   <translation>Jede Sprosse ist ein Druckgang: oben das Papier, unten der fertige Druck. Eine anklicken, um den Bogen in diesem Stand zu sehen; eine ziehen, um in anderer Folge zu drucken.</translation>
  </message>
  <message>
   <source>Inks are transparent: where two lie over each other they make a third colour, so fewer blocks may do. Look for plans works that out; the chart shows where one more block stops helping.</source>
   <translation>Druckfarben sind durchscheinend: wo zwei übereinanderliegen, ergeben sie eine dritte Farbe, so können weniger Stöcke genügen. „Pläne suchen“ rechnet das aus; das Bild zeigt, ab wann ein weiterer Stock nicht mehr hilft.</translation>
  </message>
  <message>
   <source>To know counts what will fail on the wood and what could show. N goes from one to the next, and the sheet moves along.</source>
   <translation>„Zu wissen“ zählt, was auf dem Holz misslingen wird und was sichtbar sein könnte. N geht von einem zum nächsten, und der Bogen rückt mit.</translation>
  </message>
  <message>
   <source>How near every colour comes to what is wanted, and how sure that is on this paper. Drag the strength and watch the sheet.</source>
   <translation>Wie nahe jede Farbe dem Gewünschten kommt und wie sicher das auf diesem Papier ist. An der Stärke ziehen und den Bogen beobachten.</translation>
  </message>
  <message>
   <source>How every sheet meets every block. Drag the ring to see the print with one block out of place.</source>
   <translation>Wie jeder Bogen auf jeden Stock trifft. Am Ring ziehen, um den Druck mit einem verschobenen Stock zu sehen.</translation>
  </message>
  <message>
   <source>What is cut away, with which tool, and what is too fine for it. The block is seen as it lies before you: mirrored.</source>
   <translation>Was weggeschnitten wird, mit welchem Werkzeug, und was dafür zu fein ist. Der Stock ist zu sehen, wie er vor einem liegt: gespiegelt.</translation>
  </message>
  <message>
   <source>So many sheets to begin with, that enough good ones are left at the end.</source>
   <translation>So viele Bogen zu Beginn, damit am Ende genug gute übrig sind.</translation>
  </message>
  <message>
   <source>At last, paper: Print… gives templates at true size, Packet… everything in a folder. Now open your own sketch.</source>
   <translation>Zuletzt Papier: „Drucken…“ gibt Schablonen in wahrer Größe, „Mappe…“ alles in einem Ordner. Jetzt die eigene Skizze öffnen.</translation>
  </message>
  <message>
   <source>Leave the walk</source>
   <translation>Den Gang verlassen</translation>
  </message>
  <message>
   <source>Step {at} of {steps}. Everything can be tried; nothing is kept.</source>
   <translation>Schritt {at} von {steps}. Alles lässt sich ausprobieren; nichts wird behalten.</translation>
  </message>
  <message>
   <source>Next</source>
   <translation>Weiter</translation>
  </message>
  <message>
   <source>Back</source>
   <translation>Zurück</translation>
  </message>
  <message>
   <source>Done</source>
   <translation>Fertig</translation>
  </message>
  <message>
   <source>Look at</source>
   <translation>Ansehen</translation>
  </message>
  <message>
   <source>Copy the picture</source>
   <translation>Das Bild kopieren</translation>
  </message>
  <message>
   <source>Choose {pull}</source>
   <translation>{pull} wählen</translation>
  </message>
  <message>
   <source>Settings and unsaved work cannot be kept in your own folders; until this machine is started anew they are in {}. Save to a place that can be written.</source>
   <translation>Einstellungen und ungespeicherte Arbeit lassen sich nicht in den eigenen Ordnern aufheben; bis zum Neustart dieses Rechners liegen sie in {}. An einem beschreibbaren Ort speichern.</translation>
  </message>
  <message>
   <source>There is no display to open a window on; nomos plan and nomos demo --out DIR work without one.</source>
   <translation>Es gibt keinen Bildschirm für ein Fenster; nomos plan und nomos demo --out DIR arbeiten ohne.</translation>
  </message>
  <message>
   <source>QT_QPA_PLATFORM asks for {wanted}, which this Qt does not have; it has {plugins}.</source>
   <translation>QT_QPA_PLATFORM verlangt {wanted}, was dieses Qt nicht hat; es hat {plugins}.</translation>
  </message>
  <message>
   <source>Nothing answers at the display {wanted}; nomos plan and nomos check work without one.</source>
   <translation>Am Bildschirm {wanted} antwortet nichts; nomos plan und nomos check arbeiten ohne.</translation>
  </message>
  <message>
   <source>There is unsaved work of another time: start without a file to see it.</source>
   <translation>Es gibt ungespeicherte Arbeit von früher: ohne Datei starten, um sie zu sehen.</translation>
  </message>
  <message>
   <source>Read the air of the workshop.</source>
   <translation>Die Luft der Werkstatt ablesen.</translation>
  </message>
  <message>
   <source>Weigh the ink on the slab.</source>
   <translation>Die Farbe auf der Platte wiegen.</translation>
  </message>
  <message>
   <source>Begin the first layer.</source>
   <translation>Den ersten Druckgang beginnen.</translation>
  </message>
  <message>
   <source>Pull the first sheet, on a bad one.</source>
   <translation>Den ersten Bogen ziehen, auf einen schlechten.</translation>
  </message>
  <message>
   <source>Pull a second sheet and look at it.</source>
   <translation>Einen zweiten Bogen ziehen und ansehen.</translation>
  </message>
  <message>
   <source>Scan it: is the block in register?</source>
   <translation>Scannen: passt der Stock?</translation>
  </message>
  <message>
   <source>Spoil one: it slipped.</source>
   <translation>Einen verderben: er ist verrutscht.</translation>
  </message>
  <message>
   <source>Weigh the ink again.</source>
   <translation>Die Farbe wieder wiegen.</translation>
  </message>
  <message>
   <source>That was a layer. Leave the guide.</source>
   <translation>Das war ein Druckgang. Die Anleitung verlassen.</translation>
  </message>
  <message>
   <source>Practice is over and thrown away; the record of the edition is as it was.</source>
   <translation>Die Übung ist vorbei und weggeworfen; das Protokoll der Auflage ist, wie es war.</translation>
  </message>
  <message>
   <source>No sheet has come through every layer yet.</source>
   <translation>Noch ist kein Bogen durch alle Druckgänge gekommen.</translation>
  </message>
  <message>
   <source>Space: good. X: spoiled. R: repaired. Backspace: take back. P: under the press. N: note. F: photograph.</source>
   <translation>Leertaste: gut. X: verdorben. R: ausgebessert. Rücktaste: zurücknehmen. P: unter der Presse. N: Notiz. F: Aufnahme.</translation>
  </message>
  <message>
   <source>Sheet {sheet}. {text}</source>
   <translation>Bogen {sheet}. {text}</translation>
  </message>
  <message>
   <source>Fingers out of the press. Air and gloves with solvents.</source>
   <translation>Finger aus der Presse. Luft und Handschuhe bei Lösungsmitteln.</translation>
  </message>
  <message>
   <source>Oily rags into a closed metal bin: they heat by themselves.</source>
   <translation>Ölige Lappen in einen geschlossenen Metallbehälter: sie erhitzen sich selbst.</translation>
  </message>
  <message>
   <source>Safety sheets, local rules and trained people come first.</source>
   <translation>Sicherheitsblätter, örtliche Vorschriften und ausgebildete Leute gehen vor.</translation>
  </message>
  <message>
   <source>Begin layer {layer}: {name}</source>
   <translation>Beginnen: Druckgang {layer}, {name}</translation>
  </message>
  <message>
   <source>The layer before dries {hours} h {minutes:02d} min more, until {ready_at:%a %H:%M}.</source>
   <translation>Der Druckgang davor trocknet noch {hours} h {minutes:02d} min, bis {ready_at:%a %H:%M}.</translation>
  </message>
  <message>
   <source>Sheet {queue}</source>
   <translation>Bogen {queue}</translation>
  </message>
  <message>
   <source>a bad one first; then {len} more</source>
   <translation>zuerst ein schlechter; dann noch {len}</translation>
  </message>
  <message>
   <source>{len} more after it</source>
   <translation>danach noch {len}</translation>
  </message>
  <message>
   <source>block {layer} of {layers} under it; {len} sheets after it</source>
   <translation>Stock {layer} von {layers} darunter; danach {len} Bogen</translation>
  </message>
  <message>
   <source>   being written: {waiting}</source>
   <translation>   wird geschrieben: {waiting}</translation>
  </message>
  <message>
   <source>{said}   {beyond} of layers no longer planned</source>
   <translation>{said}   {beyond} von nicht mehr geplanten Druckgängen</translation>
  </message>
  <message>
   <source>Print it all the same: begin layer {layer}, {name}</source>
   <translation>Trotzdem drucken: Druckgang {layer} beginnen, {name}</translation>
  </message>
  <message>
   <source>It is cut: begin layer {layer}, {name}</source>
   <translation>Es ist geschnitten: Druckgang {layer} beginnen, {name}</translation>
  </message>
  <message>
   <source>Cut further for layer {layer}, {name}…</source>
   <translation>Für Druckgang {layer} weiterschneiden, {name}…</translation>
  </message>
  <message>
   <source>Under the press until {until:%a %H:%M}.</source>
   <translation>Unter der Presse bis {until:%a %H:%M}.</translation>
  </message>
  <message>
   <source>The layer before is dry.</source>
   <translation>Der Druckgang davor ist trocken.</translation>
  </message>
  <message>
   <source>{sheets} sheets, {layers} layers</source>
   <translation>{sheets} Bogen, {layers} Druckgänge</translation>
  </message>
  <message>
   <source>Layer done</source>
   <translation>Druckgang fertig</translation>
  </message>
  <message>
   <source>All printed</source>
   <translation>Alles gedruckt</translation>
  </message>
  <message>
   <source>Practice: {title}</source>
   <translation>Übung: {title}</translation>
  </message>
  <message>
   <source>And {most_zones} more zones, see the packet.</source>
   <translation>Und {most_zones} weitere Zonen, siehe Mappe.</translation>
  </message>
  <message>
   <source>{name}: {words}</source>
   <translation>{name}: {words}</translation>
  </message>
  <message>
   <source>Not begun</source>
   <translation>Noch nicht begonnen</translation>
  </message>
  <message>
   <source>Begin the next</source>
   <translation>Den nächsten beginnen</translation>
  </message>
  <message>
   <source>Print this layer next. The key does the same.</source>
   <translation>Diesen Druckgang als nächsten drucken. Die Taste tut dasselbe.</translation>
  </message>
  <message>
   <source>Go through a bench session without a press, in a log of its own.</source>
   <translation>Eine Sitzung an der Werkbank ohne Presse durchgehen, mit eigenem Protokoll.</translation>
  </message>
  <message>
   <source>Not yet
Esc</source>
   <translation>Noch nicht
Esc</translation>
  </message>
  <message>
   <source>The board is not cut on.</source>
   <translation>Die Platte wird nicht weiter geschnitten.</translation>
  </message>
  <message>
   <source>Not spoiled
Esc</source>
   <translation>Nicht verdorben
Esc</translation>
  </message>
  <message>
   <source>{begin}
Enter</source>
   <translation>{begin}
Eingabetaste</translation>
  </message>
  <message>
   <source>Try it with simulated devices
G</source>
   <translation>Mit nachgestellten Geräten ausprobieren
G</translation>
  </message>
  <message>
   <source>Good
Space</source>
   <translation>Gut
Leertaste</translation>
  </message>
  <message>
   <source>The sheet is good.</source>
   <translation>Der Bogen ist gut.</translation>
  </message>
  <message>
   <source>Spoiled
X</source>
   <translation>Verdorben
X</translation>
  </message>
  <message>
   <source>The sheet is spoiled: say why.</source>
   <translation>Der Bogen ist verdorben: sagen, warum.</translation>
  </message>
  <message>
   <source>Repaired
R</source>
   <translation>Ausgebessert
R</translation>
  </message>
  <message>
   <source>It was mended and counts.</source>
   <translation>Er wurde ausgebessert und zählt.</translation>
  </message>
  <message>
   <source>Take back
Backspace</source>
   <translation>Zurücknehmen
Rücktaste</translation>
  </message>
  <message>
   <source>Undo what was said last.</source>
   <translation>Das zuletzt Gesagte zurücknehmen.</translation>
  </message>
  <message>
   <source>Note
N</source>
   <translation>Notiz
N</translation>
  </message>
  <message>
   <source>Batch, air, packing, a remark.</source>
   <translation>Ansatz, Luft, Aufzug, eine Bemerkung.</translation>
  </message>
  <message>
   <source>Photograph
F</source>
   <translation>Aufnahme
F</translation>
  </message>
  <message>
   <source>Take the sheet that was pulled last with the telephone: is it in register?</source>
   <translation>Den zuletzt gedruckten Bogen mit dem Telefon aufnehmen: Sitzt der Passer?</translation>
  </message>
  <message>
   <source>The log keeps what was printed; redo goes back.</source>
   <translation>Das Protokoll behält, was gedruckt wurde; Wiederholen geht zurück.</translation>
  </message>
  <message>
   <source>{name} cannot be put aside: {what}.</source>
   <translation>{name} lässt sich nicht beiseitelegen: {what}.</translation>
  </message>
  <message>
   <source>The log could not be written ({error}).</source>
   <translation>Das Protokoll konnte nicht geschrieben werden ({error}).</translation>
  </message>
  <message>
   <source> {lost} things are not in it.</source>
   <translation> {lost} Einträge stehen nicht darin.</translation>
  </message>
  <message>
   <source>A new edition begins; the record so far is kept as {name}.</source>
   <translation>Eine neue Auflage beginnt; das bisherige Protokoll bleibt als {name}.</translation>
  </message>
  <message>
   <source>The record of the bench was taken along from {old}.</source>
   <translation>Das Protokoll der Werkbank wurde aus {old} mitgenommen.</translation>
  </message>
  <message>
   <source>line makes</source>
   <translation>Zeile ergibt</translation>
  </message>
  <message>
   <source>lines make</source>
   <translation>Zeilen ergeben</translation>
  </message>
  <message>
   <source>{aside} {what} no sense in {name}; set aside, and kept there.</source>
   <translation>{aside} {what} keinen Sinn in {name}; beiseitegelegt und dort aufgehoben.</translation>
  </message>
  <message>
   <source>The disk or the current failed as the last line of {name} was written: compare the last sheet with the stack.</source>
   <translation>Platte oder Strom versagten, als die letzte Zeile von {name} geschrieben wurde: das letzte Blatt mit dem Stapel vergleichen.</translation>
  </message>
  <message>
   <source>This print is open in another window: write it down there.</source>
   <translation>Dieser Druck ist in einem anderen Fenster offen: dort eintragen.</translation>
  </message>
  <message>
   <source>{name} was gone and has been written again from what was known.</source>
   <translation>{name} war weg und wurde aus dem Bekannten neu geschrieben.</translation>
  </message>
  <message>
   <source>{name} is the record of another print. With the first pull here it is put aside, and a new one begins.</source>
   <translation>{name} ist das Protokoll eines anderen Drucks. Mit dem ersten Abzug hier wird es beiseitegelegt, und ein neues beginnt.</translation>
  </message>
  <message>
   <source>The record of another print was put aside as {name}.</source>
   <translation>Das Protokoll eines anderen Drucks wurde als {name} beiseitegelegt.</translation>
  </message>
  <message>
   <source>The log cannot be written in {parent} ({what}).</source>
   <translation>Das Protokoll kann in {parent} nicht geschrieben werden ({what}).</translation>
  </message>
  <message>
   <source>The record in {old} could not be taken along ({what}).</source>
   <translation>Das Protokoll in {old} konnte nicht mitgenommen werden ({what}).</translation>
  </message>
  <message>
   <source>The record stays in {old} and could not be copied beside {name} ({what}).</source>
   <translation>Das Protokoll bleibt in {old} und ließ sich nicht neben {name} kopieren ({what}).</translation>
  </message>
  <message>
   <source>What is noted</source>
   <translation>Was notiert wird</translation>
  </message>
  <message>
   <source>The note</source>
   <translation>Die Notiz</translation>
  </message>
  <message>
   <source>Enter notes it, Esc leaves it</source>
   <translation>Eingabetaste notiert, Esc lässt es</translation>
  </message>
  <message>
   <source>reading a proof</source>
   <translation>ein Probedruck wird gelesen</translation>
  </message>
  <message>
   <source>laying proofs side by side</source>
   <translation>Probedrucke werden nebeneinandergelegt</translation>
  </message>
  <message>
   <source>reading the proof</source>
   <translation>Probedruck wird gelesen</translation>
  </message>
  <message>
   <source>A picture of a proof cannot be read: {what}.</source>
   <translation>Ein Bild eines Probedrucks ist nicht lesbar: {what}.</translation>
  </message>
  <message>
   <source>Rename block</source>
   <translation>Stock umbenennen</translation>
  </message>
  <message>
   <source>Change the key</source>
   <translation>Linienstock ändern</translation>
  </message>
  <message>
   <source>Work out anew</source>
   <translation>Neu ausarbeiten</translation>
  </message>
  <message>
   <source>Take a plan</source>
   <translation>Einen Plan nehmen</translation>
  </message>
  <message>
   <source>Drawn key</source>
   <translation>Gezeichnete Linien</translation>
  </message>
  <message>
   <source>What prints where</source>
   <translation>Was wo druckt</translation>
  </message>
  <message>
   <source>{names} and {names_2} meet nowhere: no colour is printed by both.</source>
   <translation>{names} und {names_2} treffen sich nirgends: keine Farbe wird von beiden gedruckt.</translation>
  </message>
  <message>
   <source>No key</source>
   <translation>Kein Linienstock</translation>
  </message>
  <message>
   <source>blocks in</source>
   <translation>Stöcke herein</translation>
  </message>
  <message>
   <source>Touch by hand</source>
   <translation>Von Hand nacharbeiten</translation>
  </message>
  <message>
   <source>simplifying a block</source>
   <translation>ein Stock wird vereinfacht</translation>
  </message>
  <message>
   <source>writing the blocks</source>
   <translation>Stöcke werden geschrieben</translation>
  </message>
  <message>
   <source>reading the blocks</source>
   <translation>Stöcke werden gelesen</translation>
  </message>
  <message>
   <source>simplifying {name}</source>
   <translation>{name} wird vereinfacht</translation>
  </message>
  <message>
   <source>Simplify a block</source>
   <translation>Einen Stock vereinfachen</translation>
  </message>
  <message>
   <source>{name}: {saved} less to cut, {outline_after_mm} are left; it prints {area_change_mm2} mm² more, unseen.</source>
   <translation>{name}: {saved} weniger zu schneiden, {outline_after_mm} bleiben; er druckt {area_change_mm2} mm² mehr, unsichtbar.</translation>
  </message>
  <message>
   <source>reading {name}</source>
   <translation>{name} wird gelesen</translation>
  </message>
  <message>
   <source>fitting the blocks</source>
   <translation>Stöcke werden eingepasst</translation>
  </message>
  <message>
   <source>{names} files</source>
   <translation>{names} Dateien</translation>
  </message>
  <message>
   <source>The blocks are in {folder}: {what}.</source>
   <translation>Die Stöcke liegen in {folder}: {what}.</translation>
  </message>
  <message>
   <source>{name}: nothing to simplify, every edge of it is seen.</source>
   <translation>{name}: nichts zu vereinfachen, jede Kante ist zu sehen.</translation>
  </message>
  <message>
   <source>Click a plan to take it. Of the colours so many come within ΔE {reached_de00:g}. Tight: borders where a gap can open.</source>
   <translation>Einen Plan anklicken, um ihn zu nehmen. So viele der Farben kommen auf ΔE {reached_de00:g} heran. Eng: Grenzen, an denen es aufblitzen kann.</translation>
  </message>
  <message>
   <source>Click a field to choose its block. Drag the sheet to move it, turn the wheel to come closer.</source>
   <translation>Ein Feld anklicken, um seinen Stock zu wählen. Den Bogen ziehen, um ihn zu verschieben, am Rad drehen, um näher zu kommen.</translation>
  </message>
  <message>
   <source>with {blocks} blocks</source>
   <translation>mit {blocks} Stöcken</translation>
  </message>
  <message>
   <source>Looking…</source>
   <translation>Suche läuft…</translation>
  </message>
  <message>
   <source>All joins as they are seen, metres by ΔE: {seen}.</source>
   <translation>Alle sichtbaren Nähte, Meter nach ΔE: {seen}.</translation>
  </message>
  <message>
   <source>One block {tolerance_mm} out opens up to {with_mm2} mm² of bare paper{block}; without the trap {without_mm2} mm².</source>
   <translation>Ein Stock, {tolerance_mm} verschoben, öffnet bis zu {with_mm2} mm² blankes Papier{block}; ohne die Überfüllung {without_mm2} mm².</translation>
  </message>
  <message>
   <source>Strokes change {name} only. Wheel and arrow keys still move the sheet.</source>
   <translation>Striche ändern nur {name}. Rad und Pfeiltasten bewegen weiterhin den Bogen.</translation>
  </message>
  <message>
   <source>colour block</source>
   <translation>Farbstock</translation>
  </message>
  <message>
   <source>colour blocks</source>
   <translation>Farbstöcke</translation>
  </message>
  <message>
   <source> and the key</source>
   <translation> und der Linienstock</translation>
  </message>
  <message>
   <source>, no key</source>
   <translation>, kein Linienstock</translation>
  </message>
  <message>
   <source>; {bare} left to the paper</source>
   <translation>; {bare} dem Papier überlassen</translation>
  </message>
  <message>
   <source>One board in {blocks} states; no sheet can be added once it is cut further</source>
   <translation>Eine Platte in {blocks} Zuständen; ist sie weitergeschnitten, kommt kein Bogen mehr hinzu</translation>
  </message>
  <message>
   <source>{said} Least, {least}, with seams up to ΔE {limit_de00}.</source>
   <translation>{said} Am wenigsten, {least}, mit Nähten bis ΔE {limit_de00}.</translation>
  </message>
  <message>
   <source>What a misregister opens is being worked out.</source>
   <translation>Was ein Passerfehler öffnet, wird ausgerechnet.</translation>
  </message>
  <message>
   <source>Each state lies within the one before: no gap opens, a colour only shows beside its place.</source>
   <translation>Jeder Zustand liegt im vorigen: nichts blitzt auf, eine Farbe zeigt sich nur neben ihrem Platz.</translation>
  </message>
  <message>
   <source>{tolerance_mm} out of register opens no bare paper.</source>
   <translation>{tolerance_mm} verschoben öffnet kein blankes Papier.</translation>
  </message>
  <message>
   <source>, worst {block}</source>
   <translation>, am schlimmsten {block}</translation>
  </message>
  <message>
   <source>Choose a block first.</source>
   <translation>Zuerst einen Stock wählen.</translation>
  </message>
  <message>
   <source>{name} has been changed by hand; traps and colours no longer change it.</source>
   <translation>{name} wurde von Hand geändert; Überfüllungen und Farben ändern ihn nicht mehr.</translation>
  </message>
  <message>
   <source>{chosen} colours</source>
   <translation>{chosen} Farben</translation>
  </message>
  <message>
   <source>On {what}, now ΔE {number}</source>
   <translation>Auf {what}, jetzt ΔE {number}</translation>
  </message>
  <message>
   <source>state {len}</source>
   <translation>Zustand {len}</translation>
  </message>
  <message>
   <source>{zones} zones, {quiet}</source>
   <translation>{zones} Zonen, {quiet}</translation>
  </message>
  <message>
   <source>, prints {image} %, clear {image_2} cm²</source>
   <translation>, druckt {image} %, räumen {image_2} cm²</translation>
  </message>
  <message>
   <source>Click a field to see which blocks print there</source>
   <translation>Ein Feld anklicken, um zu sehen, welche Stöcke dort drucken</translation>
  </message>
  <message>
   <source>key block</source>
   <translation>Linienstock</translation>
  </message>
  <message>
   <source>on {prints} of {prints_2}</source>
   <translation>auf {prints} von {prints_2}</translation>
  </message>
  <message>
   <source>ΔE {de00}</source>
   <translation>ΔE {de00}</translation>
  </message>
  <message>
   <source>Fewer</source>
   <translation>Weniger</translation>
  </message>
  <message>
   <source>Hand</source>
   <translation>Hand</translation>
  </message>
  <message>
   <source>Which blocks?</source>
   <translation>Welche Stöcke?</translation>
  </message>
  <message>
   <source>Name of the block</source>
   <translation>Name des Stocks</translation>
  </message>
  <message>
   <source>What this block is called on screen, templates and cards.</source>
   <translation>Wie dieser Stock auf Bildschirm, Schablonen und Karten heißt.</translation>
  </message>
  <message>
   <source>Give each zone a block of its own</source>
   <translation>Jeder Zone einen eigenen Stock geben</translation>
  </message>
  <message>
   <source>What prints on the chosen colour</source>
   <translation>Was auf der gewählten Farbe druckt</translation>
  </message>
  <message>
   <source>Each patch is the colour that a click would give. Ctrl and click adds a field.</source>
   <translation>Jedes Feld ist die Farbe, die ein Klick ergäbe. Strg und Klick fügt ein Feld hinzu.</translation>
  </message>
  <message>
   <source>One block</source>
   <translation>Ein Stock</translation>
  </message>
  <message>
   <source>Other block</source>
   <translation>Anderer Stock</translation>
  </message>
  <message>
   <source>Choose all colours where both print</source>
   <translation>Alle Farben wählen, wo beide drucken</translation>
  </message>
  <message>
   <source>The key goes on last and its lines hide the joins.</source>
   <translation>Die Linien kommen zuletzt und verdecken die Nähte.</translation>
  </message>
  <message>
   <source>Print it once more</source>
   <translation>Noch einmal drucken</translation>
  </message>
  <message>
   <source>Leave it out</source>
   <translation>Weglassen</translation>
  </message>
  <message>
   <source>Two blocks whose overprint is looked for.</source>
   <translation>Zwei Stöcke, deren Überdruck gesucht wird.</translation>
  </message>
  <message>
   <source>Where both lie, their overprint is taken as the colour.</source>
   <translation>Wo beide liegen, gilt ihr Überdruck als die Farbe.</translation>
  </message>
  <message>
   <source>One more pass of this block.</source>
   <translation>Noch ein Druckgang dieses Stocks.</translation>
  </message>
  <message>
   <source>Print without this pull.</source>
   <translation>Ohne diesen Druckgang drucken.</translation>
  </message>
  <message>
   <source>Everywhere two blocks meet</source>
   <translation>Überall, wo zwei Stöcke sich treffen</translation>
  </message>
  <message>
   <source>Make it a colour block</source>
   <translation>Zum Farbstock machen</translation>
  </message>
  <message>
   <source>any ink I could mix</source>
   <translation>jede mischbare Farbe</translation>
  </message>
  <message>
   <source>the inks of this project</source>
   <translation>die Farben dieses Projekts</translation>
  </message>
  <message>
   <source>a yellow, a red and a blue</source>
   <translation>ein Gelb, ein Rot und ein Blau</translation>
  </message>
  <message>
   <source>the inks of the studio</source>
   <translation>die Farben des Studios</translation>
  </message>
  <message>
   <source>a shelf file…</source>
   <translation>eine Vorratsdatei…</translation>
  </message>
  <message>
   <source>Which inks a plan may use.</source>
   <translation>Welche Druckfarben ein Plan verwenden darf.</translation>
  </message>
  <message>
   <source>The most blocks that a plan may have.</source>
   <translation>So viele Stöcke darf ein Plan höchstens haben.</translation>
  </message>
  <message>
   <source>Wishes: choose a colour</source>
   <translation>Wünsche: eine Farbe wählen</translation>
  </message>
  <message>
   <source>Wishes</source>
   <translation>Wünsche</translation>
  </message>
  <message>
   <source>Inks: click for may, must, must not</source>
   <translation>Druckfarben: klicken für darf, muss, darf nicht</translation>
  </message>
  <message>
   <source>Inks to use</source>
   <translation>Zu verwendende Druckfarben</translation>
  </message>
  <message>
   <source>Look for plans</source>
   <translation>Pläne suchen</translation>
  </message>
  <message>
   <source>Nearest to the sketch with two of these inks</source>
   <translation>Am nächsten an der Skizze mit zweien dieser Farben</translation>
  </message>
  <message>
   <source>Nearest to the sketch</source>
   <translation>Am nächsten an der Skizze</translation>
  </message>
  <message>
   <source>Try all ways to print this with fewer blocks, by what overlaps make.</source>
   <translation>Alle Wege versuchen, mit weniger Stöcken zu drucken, durch das, was Überdrucke ergeben.</translation>
  </message>
  <message>
   <source>Fewer blocks by overprinting</source>
   <translation>Weniger Stöcke durch Überdrucken</translation>
  </message>
  <message>
   <source>The key stays</source>
   <translation>Der Linienstock bleibt</translation>
  </message>
  <message>
   <source>Plans keep the key block as it is.</source>
   <translation>Pläne behalten den Linienstock, wie er ist.</translation>
  </message>
  <message>
   <source>The key is free</source>
   <translation>Der Linienstock ist frei</translation>
  </message>
  <message>
   <source>Plans may do without a key.</source>
   <translation>Pläne dürfen ohne Linienstock auskommen.</translation>
  </message>
  <message>
   <source>As it comes</source>
   <translation>Wie es kommt</translation>
  </message>
  <message>
   <source>Must match</source>
   <translation>Muss stimmen</translation>
  </message>
  <message>
   <source>One ink</source>
   <translation>Eine Farbe</translation>
  </message>
  <message>
   <source>Field: click one, with Ctrl all that touches it on the block.</source>
   <translation>Feld: eines anklicken, mit Strg alles, was es auf dem Stock berührt.</translation>
  </message>
  <message>
   <source>Strength, film and grading of the chosen zone are set at Inks.</source>
   <translation>Stärke, Film und Verlauf der gewählten Zone werden unter Druckfarben eingestellt.</translation>
  </message>
  <message>
   <source>Move</source>
   <translation>Verschieben</translation>
  </message>
  <message>
   <source>Drag the sheet: nothing is drawn.</source>
   <translation>Den Bogen ziehen: es wird nichts gezeichnet.</translation>
  </message>
  <message>
   <source>Lasso</source>
   <translation>Lasso</translation>
  </message>
  <message>
   <source>Draw round a place.</source>
   <translation>Um eine Stelle herumzeichnen.</translation>
  </message>
  <message>
   <source>Line</source>
   <translation>Linie</translation>
  </message>
  <message>
   <source>A straight line, from where you press to where you let go.</source>
   <translation>Eine Gerade, vom Drücken bis zum Loslassen.</translation>
  </message>
  <message>
   <source>Brush</source>
   <translation>Pinsel</translation>
  </message>
  <message>
   <source>Draw freely.</source>
   <translation>Frei zeichnen.</translation>
  </message>
  <message>
   <source>Field</source>
   <translation>Feld</translation>
  </message>
  <message>
   <source>Choose a whole field by a click.</source>
   <translation>Mit einem Klick ein ganzes Feld wählen.</translation>
  </message>
  <message>
   <source>is inked apart</source>
   <translation>wird getrennt eingefärbt</translation>
  </message>
  <message>
   <source>is left without ink</source>
   <translation>bleibt ohne Farbe</translation>
  </message>
  <message>
   <source>is wiped before the pull</source>
   <translation>wird vor dem Druck abgewischt</translation>
  </message>
  <message>
   <source>alone is inked, the rest not</source>
   <translation>allein wird eingefärbt, der Rest nicht</translation>
  </message>
  <message>
   <source>joins the chosen zone</source>
   <translation>kommt zur gewählten Zone</translation>
  </message>
  <message>
   <source>Zones of the pull</source>
   <translation>Zonen des Druckgangs</translation>
  </message>
  <message>
   <source>What becomes of the place</source>
   <translation>Was aus der Stelle wird</translation>
  </message>
  <message>
   <source>What is drawn</source>
   <translation>Was gezeichnet wird</translation>
  </message>
  <message>
   <source>What a drawing on the sheet does to this pull.</source>
   <translation>Was eine Zeichnung auf dem Bogen mit diesem Druckgang macht.</translation>
  </message>
  <message>
   <source>Width of brush and line</source>
   <translation>Breite von Pinsel und Linie</translation>
  </message>
  <message>
   <source>How wide the brush draws, and how wide a line comes out.</source>
   <translation>Wie breit der Pinsel zeichnet und wie breit eine Linie wird.</translation>
  </message>
  <message>
   <source>Ink of the chosen zone</source>
   <translation>Farbe der gewählten Zone</translation>
  </message>
  <message>
   <source>Which ink the zone is inked with.</source>
   <translation>Mit welcher Druckfarbe die Zone eingefärbt wird.</translation>
  </message>
  <message>
   <source>Take this zone out</source>
   <translation>Diese Zone herausnehmen</translation>
  </message>
  <message>
   <source>Name of the pull</source>
   <translation>Name des Druckgangs</translation>
  </message>
  <message>
   <source>What this pass is called, where a block prints more than once.</source>
   <translation>Wie dieser Gang heißt, wo ein Stock mehr als einmal druckt.</translation>
  </message>
  <message>
   <source>Print this block once more</source>
   <translation>Diesen Stock noch einmal drucken</translation>
  </message>
  <message>
   <source>One more pass, with an ink and zones of its own.</source>
   <translation>Noch ein Druckgang, mit eigener Farbe und eigenen Zonen.</translation>
  </message>
  <message>
   <source>Draw on the sheet</source>
   <translation>Auf den Bogen zeichnen</translation>
  </message>
  <message>
   <source>The chosen zone</source>
   <translation>Die gewählte Zone</translation>
  </message>
  <message>
   <source>The pull</source>
   <translation>Der Druckgang</translation>
  </message>
  <message>
   <source>Draw a zone</source>
   <translation>Eine Zone zeichnen</translation>
  </message>
  <message>
   <source>Take a zone out</source>
   <translation>Eine Zone herausnehmen</translation>
  </message>
  <message>
   <source>An ink of its own</source>
   <translation>Eine eigene Druckfarbe</translation>
  </message>
  <message>
   <source>How {id} is inked</source>
   <translation>Wie {id} eingefärbt wird</translation>
  </message>
  <message>
   <source>drawn by hand</source>
   <translation>von Hand gezeichnet</translation>
  </message>
  <message>
   <source>by colour</source>
   <translation>nach Farbe</translation>
  </message>
  <message>
   <source>all the others leave</source>
   <translation>alles, was die anderen lassen</translation>
  </message>
  <message>
   <source>Light from, 90° is above</source>
   <translation>Licht von, 90° ist oben</translation>
  </message>
  <message>
   <source>Shadows lie on the side away from it.</source>
   <translation>Schatten liegen auf der abgewandten Seite.</translation>
  </message>
  <message>
   <source>Shade the side away from it alone</source>
   <translation>Nur die abgewandte Seite schattieren</translation>
  </message>
  <message>
   <source>Take that limit</source>
   <translation>Diese Grenze nehmen</translation>
  </message>
  <message>
   <source>The key</source>
   <translation>Der Linienstock</translation>
  </message>
  <message>
   <source>Where colours meet</source>
   <translation>Wo Farben sich treffen</translation>
  </message>
  <message>
   <source>Drawn</source>
   <translation>Gezeichnet</translation>
  </message>
  <message>
   <source>The key is what is drawn as a line.</source>
   <translation>Als Linienstock gilt, was als Linie gezeichnet ist.</translation>
  </message>
  <message>
   <source>The key is a line round every field.</source>
   <translation>Der Linienstock ist eine Linie um jedes Feld.</translation>
  </message>
  <message>
   <source>Shadow</source>
   <translation>Schatten</translation>
  </message>
  <message>
   <source>The key is the darkest tone.</source>
   <translation>Der Linienstock ist der dunkelste Ton.</translation>
  </message>
  <message>
   <source>None</source>
   <translation>Keiner</translation>
  </message>
  <message>
   <source>No key: colours meet each other.</source>
   <translation>Kein Linienstock: Farben stoßen aneinander.</translation>
  </message>
  <message>
   <source>Sawing: clamp the board, fingers clear of the line, eyes and lungs covered. The makers' safety sheets, local rules and trained people come first.</source>
   <translation>Sägen: Platte festspannen, Finger weg von der Linie, Augen und Lunge schützen. Die Sicherheitsblätter der Hersteller, örtliche Vorschriften und ausgebildete Leute gehen vor.</translation>
  </message>
  <message>
   <source>Cut away from the body, the other hand behind the edge, the board against a bench hook. Nothing cut away can be put back: print every sheet first.</source>
   <translation>Vom Körper weg schneiden, die andere Hand hinter der Schneide, die Platte am Bankhaken. Was weg ist, kommt nicht wieder: zuerst alle Bogen drucken.</translation>
  </message>
  <message>
   <source>Ways of printing</source>
   <translation>Arten zu drucken</translation>
  </message>
  <message>
   <source>Tint and shade the chosen colour</source>
   <translation>Gewählte Farbe tönen und schattieren</translation>
  </message>
  <message>
   <source>Between the pulls</source>
   <translation>Zwischen den Druckgängen</translation>
  </message>
  <message>
   <source>Tints and shades by the light</source>
   <translation>Tönungen und Schatten nach dem Licht</translation>
  </message>
  <message>
   <source>Boards</source>
   <translation>Platten</translation>
  </message>
  <message>
   <source>Colours inked apart on one block</source>
   <translation>Farben getrennt auf einem Stock</translation>
  </message>
  <message>
   <source>Tints and shades</source>
   <translation>Tönungen und Schatten</translation>
  </message>
  <message>
   <source>Shadow by the light</source>
   <translation>Schatten nach dem Licht</translation>
  </message>
  <message>
   <source>Print once more</source>
   <translation>Noch einmal drucken</translation>
  </message>
  <message>
   <source>Take zones apart</source>
   <translation>Zonen auseinandernehmen</translation>
  </message>
  <message>
   <source>Leave a pull out</source>
   <translation>Einen Druckgang weglassen</translation>
  </message>
  <message>
   <source>grade to</source>
   <translation>Verlauf auf</translation>
  </message>
  <message>
   <source>working it out anew</source>
   <translation>wird neu ausgearbeitet</translation>
  </message>
  <message>
   <source>Click a field of the colour first that is to have tints and shades.</source>
   <translation>Zuerst ein Feld der Farbe anklicken, die Tönungen und Schatten bekommen soll.</translation>
  </message>
  <message>
   <source>Even inking</source>
   <translation>Gleichmäßig einfärben</translation>
  </message>
  <message>
   <source>{pieces} pieces, the smallest {least} mm²; {necks} too thin, {inside} inside another. Numbered on the sheet and on the template.</source>
   <translation>{pieces} Teile, das kleinste {least} mm²; {necks} zu dünn, {inside} in einem anderen. Auf Bogen und Schablone nummeriert.</translation>
  </message>
  <message>
   <source>A back drawn from the front's edges would be up to {most_mm} out{turned}; notches cut into each face, or a back drawn in the jig, do not mind.</source>
   <translation>Eine nach den Kanten der Vorderseite gezeichnete Rückseite wäre bis zu {most_mm} verschoben{turned}; Kerben in jeder Seite oder eine in der Anlage gezeichnete Rückseite stört das nicht.</translation>
  </message>
  <message>
   <source>The pieces are being counted.</source>
   <translation>Die Teile werden gezählt.</translation>
  </message>
  <message>
   <source>, turned {rotation_deg}°</source>
   <translation>, {rotation_deg}° gedreht</translation>
  </message>
  <message>
   <source>After {place} {name}</source>
   <translation>Nach {place} {name}</translation>
  </message>
  <message>
   <source>neck</source>
   <translation>Hals</translation>
  </message>
  <message>
   <source>necks</source>
   <translation>Hälse</translation>
  </message>
  <message>
   <source>Board {place}: {name}</source>
   <translation>Platte {place}: {name}</translation>
  </message>
  <message>
   <source>back: {name}</source>
   <translation>Rückseite: {name}</translation>
  </message>
  <message>
   <source>Plans by their number of blocks</source>
   <translation>Pläne nach der Zahl ihrer Stöcke</translation>
  </message>
  <message>
   <source>Rest on a plan to see it on the sheet; click to print by it.</source>
   <translation>Auf einem Plan verweilen, um ihn auf dem Bogen zu sehen; klicken, um danach zu drucken.</translation>
  </message>
  <message>
   <source>mean</source>
   <translation>Mittel</translation>
  </message>
  <message>
   <source>looking for plans</source>
   <translation>Pläne werden gesucht</translation>
  </message>
  <message>
   <source>must match</source>
   <translation>muss stimmen</translation>
  </message>
  <message>
   <source>one ink only</source>
   <translation>nur eine Farbe</translation>
  </message>
  <message>
   <source>may be used</source>
   <translation>darf verwendet werden</translation>
  </message>
  <message>
   <source>must be used</source>
   <translation>muss verwendet werden</translation>
  </message>
  <message>
   <source>must not</source>
   <translation>darf nicht</translation>
  </message>
  <message>
   <source>{enough}: ΔE {mean} on the mean.</source>
   <translation>{enough}: ΔE {mean} im Mittel.</translation>
  </message>
  <message>
   <source>{said} More blocks bring it {gain} nearer: that is hardly seen.</source>
   <translation>{said} Mehr Stöcke bringen es {gain} näher: das sieht man kaum.</translation>
  </message>
  <message>
   <source>{said} Each block so far brings the colours visibly nearer.</source>
   <translation>{said} Bisher bringt jeder Stock die Farben sichtbar näher.</translation>
  </message>
  <message>
   <source>wanted</source>
   <translation>gewünscht</translation>
  </message>
  <message>
   <source>, another way</source>
   <translation>, ein anderer Weg</translation>
  </message>
  <message>
   <source> over </source>
   <translation> über </translation>
  </message>
  <message>
   <source>ΔE {mean_de00}   worst {worst_de00}{within}   {reached} of {numbers}</source>
   <translation>ΔE {mean_de00}   größtes {worst_de00}{within}   {reached} von {numbers}</translation>
  </message>
  <message>
   <source>cut {cut_m} m, tight {tight_mm} m, clear {clear_area_mm2} dm²</source>
   <translation>{cut_m} m schneiden, {tight_mm} m eng, {clear_area_mm2} dm² räumen</translation>
  </message>
  <message>
   <source>OpenRaster, a layer a block</source>
   <translation>OpenRaster, je Stock eine Ebene</translation>
  </message>
  <message>
   <source>PNG, black prints</source>
   <translation>PNG, Schwarz druckt</translation>
  </message>
  <message>
   <source>TIFF, black prints</source>
   <translation>TIFF, Schwarz druckt</translation>
  </message>
  <message>
   <source>SVG outlines</source>
   <translation>SVG-Umrisse</translation>
  </message>
  <message>
   <source>Work it out from the colours again</source>
   <translation>Wieder aus den Farben ausarbeiten</translation>
  </message>
  <message>
   <source>Simplify it where nothing is seen</source>
   <translation>Vereinfachen, wo man es nicht sieht</translation>
  </message>
  <message>
   <source>Bring blocks in from a file…</source>
   <translation>Stöcke aus einer Datei hereinholen…</translation>
  </message>
  <message>
   <source>As</source>
   <translation>Als</translation>
  </message>
  <message>
   <source>How blocks are sent out: as layers of one file, or as a picture each.</source>
   <translation>Wie Stöcke ausgegeben werden: als Ebenen einer Datei oder je als Bild.</translation>
  </message>
  <message>
   <source>Less to cut, where inks above hide it.</source>
   <translation>Weniger zu schneiden, wo Farben darüber es verbergen.</translation>
  </message>
  <message>
   <source>Take what blocks print from layers or pictures.</source>
   <translation>Was Stöcke drucken, aus Ebenen oder Bildern nehmen.</translation>
  </message>
  <message>
   <source>Send blocks out…</source>
   <translation>Stöcke ausgeben…</translation>
  </message>
  <message>
   <source>Touch the chosen block</source>
   <translation>Am gewählten Stock arbeiten</translation>
  </message>
  <message>
   <source>Where nothing is seen of it</source>
   <translation>Wo man nichts davon sieht</translation>
  </message>
  <message>
   <source>In another program</source>
   <translation>In einem anderen Programm</translation>
  </message>
  <message>
   <source>Print there</source>
   <translation>Dort drucken</translation>
  </message>
  <message>
   <source>Draw where this block is to print as well.</source>
   <translation>Zeichnen, wo dieser Stock auch drucken soll.</translation>
  </message>
  <message>
   <source>Print there no longer</source>
   <translation>Dort nicht mehr drucken</translation>
  </message>
  <message>
   <source>Draw where this block is not to print.</source>
   <translation>Zeichnen, wo dieser Stock nicht drucken soll.</translation>
  </message>
  <message>
   <source>Write what each block prints, to draw on it elsewhere.</source>
   <translation>Schreiben, was jeder Stock druckt, um anderswo darauf zu zeichnen.</translation>
  </message>
  <message>
   <source>Saw the blocks</source>
   <translation>Stöcke sägen</translation>
  </message>
  <message>
   <source>What the log says</source>
   <translation>Was das Protokoll sagt</translation>
  </message>
  <message>
   <source>The statement and the tables are in {folder}.</source>
   <translation>Vermerk und Tabellen liegen in {folder}.</translation>
  </message>
  <message>
   <source>planning the cutting</source>
   <translation>Schneiden wird geplant</translation>
  </message>
  <message>
   <source>comparing plans</source>
   <translation>Pläne werden verglichen</translation>
  </message>
  <message>
   <source>writing carving maps</source>
   <translation>Schneidkarten werden geschrieben</translation>
  </message>
  <message>
   <source>carving.pdf and transfer.pdf are in {folder}.</source>
   <translation>carving.pdf und transfer.pdf liegen in {folder}.</translation>
  </message>
  <message>
   <source>The block face up, mirrored: the letters are the tools at the right, dark stays.</source>
   <translation>Der Stock mit der Druckfläche nach oben, gespiegelt: die Buchstaben sind die Werkzeuge rechts, Dunkles bleibt.</translation>
  </message>
  <message>
   <source>Look for plans with fewer blocks first, at Blocks.</source>
   <translation>Zuerst unter Stöcke nach Plänen mit weniger Stöcken suchen.</translation>
  </message>
  <message>
   <source>{blocks} blocks</source>
   <translation>{blocks} Stöcke</translation>
  </message>
  <message>
   <source>{hours_of} h of cutting in all</source>
   <translation>{hours_of} h Schneiden insgesamt</translation>
  </message>
  <message>
   <source>Working out the cutting…</source>
   <translation>Das Schneiden wird ausgerechnet…</translation>
  </message>
  <message>
   <source>{material} holds lines of {line_mm} and channels of {channel_mm}.</source>
   <translation>{material} hält Linien von {line_mm} und Kanäle von {channel_mm}.</translation>
  </message>
  <message>
   <source>By the log cutting takes {factor} times as long as the speeds say.</source>
   <translation>Laut Protokoll dauert das Schneiden {factor}-mal so lang, wie die Geschwindigkeiten sagen.</translation>
  </message>
  <message>
   <source> They cost {cost:.2f}.</source>
   <translation> Sie kosten {cost:.2f}.</translation>
  </message>
  <message>
   <source>Outlines, first</source>
   <translation>Umrisse, zuerst</translation>
  </message>
  <message>
   <source>{outline_mm} cm, {outline_h} min</source>
   <translation>{outline_mm} cm, {outline_h} min</translation>
  </message>
  <message>
   <source>Deepest</source>
   <translation>Tiefste Stelle</translation>
  </message>
  <message>
   <source>; left over {width}</source>
   <translation>; übrig {width}</translation>
  </message>
  <message>
   <source>{waste:.0f} % is waste.{cost}</source>
   <translation>{waste:.0f} % ist Verschnitt.{cost}</translation>
  </message>
  <message>
   <source>{area} cm²{took}</source>
   <translation>{area} cm²{took}</translation>
  </message>
  <message>
   <source>Too narrow for all</source>
   <translation>Zu schmal für alle</translation>
  </message>
  <message>
   <source>{narrow_mm2} mm²</source>
   <translation>{narrow_mm2} mm²</translation>
  </message>
  <message>
   <source>'{words}' is no kind of tool: knife, v, u or flat.</source>
   <translation>'{words}' ist keine Werkzeugart: knife, v, u oder flat.</translation>
  </message>
  <message>
   <source>roller reaches</source>
   <translation>Walze reicht hin</translation>
  </message>
  <message>
   <source>'{strip}' is no tool: write a kind and a width in mm, as u 3.</source>
   <translation>'{strip}' ist kein Werkzeug: Art und Breite in mm schreiben, etwa u 3.</translation>
  </message>
  <message>
   <source>Tools</source>
   <translation>Werkzeuge</translation>
  </message>
  <message>
   <source>Transfer</source>
   <translation>Übertragung</translation>
  </message>
  <message>
   <source>Blocks on their boards</source>
   <translation>Stöcke auf ihren Platten</translation>
  </message>
  <message>
   <source>How is it cut?</source>
   <translation>Wie wird geschnitten?</translation>
  </message>
  <message>
   <source>Write carving maps and transfer sheets…</source>
   <translation>Schneidkarten und Übertragungsbogen schreiben…</translation>
  </message>
  <message>
   <source>This block took</source>
   <translation>Dieser Stock brauchte</translation>
  </message>
  <message>
   <source>The hours that cutting this block took: the next are reckoned by it.</source>
   <translation>Die Stunden, die dieser Stock brauchte: danach werden die nächsten berechnet.</translation>
  </message>
  <message>
   <source>Tools, mm</source>
   <translation>Werkzeuge, mm</translation>
  </message>
  <message>
   <source>Kinds and widths, as: v 1, u 2, u 5, flat 10, knife 0.3</source>
   <translation>Arten und Breiten, etwa: v 1, u 2, u 5, flat 10, knife 0.3</translation>
  </message>
  <message>
   <source>The blocks are sawn: keep the offcuts</source>
   <translation>Die Stöcke sind gesägt: Reste behalten</translation>
  </message>
  <message>
   <source>Blocks to cut</source>
   <translation>Zu schneidende Stöcke</translation>
  </message>
  <message>
   <source>True-scale pages for every block, into a folder.</source>
   <translation>Seiten in wahrer Größe für jeden Stock, in einen Ordner.</translation>
  </message>
  <message>
   <source>Compare with the plans found</source>
   <translation>Mit den gefundenen Plänen vergleichen</translation>
  </message>
  <message>
   <source>Reckon like the log</source>
   <translation>Rechnen wie das Protokoll</translation>
  </message>
  <message>
   <source>Take the boards as used, and what is left as boards at hand.</source>
   <translation>Die Platten als verbraucht verbuchen und den Rest als vorhandene Platten.</translation>
  </message>
  <message>
   <source>Add this board</source>
   <translation>Diese Platte hinzufügen</translation>
  </message>
  <message>
   <source>No boards at hand</source>
   <translation>Keine Platten vorhanden</translation>
  </message>
  <message>
   <source>Cutting hours of the plans found at Blocks.</source>
   <translation>Schneidestunden der unter Stöcke gefundenen Pläne.</translation>
  </message>
  <message>
   <source>Put it with those at hand.</source>
   <translation>Zu den vorhandenen legen.</translation>
  </message>
  <message>
   <source>Plan with boards to be bought.</source>
   <translation>Mit Platten planen, die zu kaufen sind.</translation>
  </message>
  <message>
   <source>above</source>
   <translation>oben</translation>
  </message>
  <message>
   <source>at the right</source>
   <translation>rechts</translation>
  </message>
  <message>
   <source>below</source>
   <translation>unten</translation>
  </message>
  <message>
   <source>at the left</source>
   <translation>links</translation>
  </message>
  <message>
   <source>It is not sure where the sheet lies.</source>
   <translation>Es ist nicht sicher, wo der Bogen liegt.</translation>
  </message>
  <message>
   <source>Drag each corner onto a corner of the sheet; arrow keys move it finely.</source>
   <translation>Jede Ecke auf eine Ecke des Bogens ziehen; Pfeiltasten verschieben sie fein.</translation>
  </message>
  <message>
   <source>It is not sure where the sheet lies: {sides} its edge is hardly seen.</source>
   <translation>Es ist nicht sicher, wo der Bogen liegt: {sides} ist seine Kante kaum zu sehen.</translation>
  </message>
  <message>
   <source>Where does the sheet lie?</source>
   <translation>Wo liegt der Bogen?</translation>
  </message>
  <message>
   <source>The sheet lies there</source>
   <translation>Dort liegt der Bogen</translation>
  </message>
  <message>
   <source>All of the picture is the design</source>
   <translation>Das ganze Bild ist der Entwurf</translation>
  </message>
  <message>
   <source>Do not open it</source>
   <translation>Nicht öffnen</translation>
  </message>
  <message>
   <source>Its light, its size and the drawing are read by these corners.</source>
   <translation>Licht, Größe und Zeichnung werden nach diesen Ecken gelesen.</translation>
  </message>
  <message>
   <source>Nothing lies around the drawing.</source>
   <translation>Um die Zeichnung liegt nichts.</translation>
  </message>
  <message>
   <source>Corners</source>
   <translation>Ecken</translation>
  </message>
  <message>
   <source>Size</source>
   <translation>Größe</translation>
  </message>
  <message>
   <source>Stay bare</source>
   <translation>Blank bleiben</translation>
  </message>
  <message>
   <source>Keep</source>
   <translation>Behalten</translation>
  </message>
  <message>
   <source>Turn</source>
   <translation>Drehen</translation>
  </message>
  <message>
   <source>Mirror</source>
   <translation>Spiegeln</translation>
  </message>
  <message>
   <source>Leave out</source>
   <translation>Weglassen</translation>
  </message>
  <message>
   <source>Find the sheet</source>
   <translation>Bogen suchen</translation>
  </message>
  <message>
   <source>Click a field to rename or recolour it. Hold F to see the sketch in place of the flat design.</source>
   <translation>Ein Feld anklicken, um es umzubenennen oder umzufärben. F gehalten zeigt die Skizze anstelle des flächigen Entwurfs.</translation>
  </message>
  <message>
   <source>Read it as</source>
   <translation>Lesen als</translation>
  </message>
  <message>
   <source>Read as a clean drawing: its colours are taken as they are.</source>
   <translation>Gelesen als saubere Zeichnung: ihre Farben werden genommen, wie sie sind.</translation>
  </message>
  <message>
   <source>Read as a sketch drawn by hand: its line, its areas and the paper.</source>
   <translation>Gelesen als Handskizze: ihre Linie, ihre Flächen und das Papier.</translation>
  </message>
  <message>
   <source>Read as tones: the colours that are least far off on the whole.</source>
   <translation>Gelesen als Tonwerte: die Farben, die im Ganzen am wenigsten abweichen.</translation>
  </message>
  <message>
   <source>{what} is left out: keep it</source>
   <translation>{what} ist weggelassen: behalten</translation>
  </message>
  <message>
   <source>The light varied by {uneven} % over the paper and was evened out.</source>
   <translation>Das Licht schwankte um {uneven} % über das Papier und wurde ausgeglichen.</translation>
  </message>
  <message>
   <source>kept, whatever the number</source>
   <translation>behalten, wie viele es auch sind</translation>
  </message>
  <message>
   <source>two colours made one</source>
   <translation>zwei Farben zu einer gemacht</translation>
  </message>
  <message>
   <source>another colour pointed out</source>
   <translation>eine andere Farbe gezeigt</translation>
  </message>
  <message>
   <source>said to be paper</source>
   <translation>als Papier bezeichnet</translation>
  </message>
  <message>
   <source>said to be line</source>
   <translation>als Linie bezeichnet</translation>
  </message>
  <message>
   <source>said to be no line</source>
   <translation>als keine Linie bezeichnet</translation>
  </message>
  <message>
   <source>a field filled</source>
   <translation>ein Feld gefüllt</translation>
  </message>
  <message>
   <source>a stroke of the brush</source>
   <translation>ein Pinselstrich</translation>
  </message>
  <message>
   <source>faint lines dropped</source>
   <translation>blasse Linien weggelassen</translation>
  </message>
  <message>
   <source>Ink {join} and {lower} as one graded field</source>
   <translation>{join} und {lower} als ein verlaufendes Feld einfärben</translation>
  </message>
  <message>
   <source>This looks like {what}: leave it out</source>
   <translation>Das sieht aus wie {what}: weglassen</translation>
  </message>
  <message>
   <source>No bare paper was recognised: the light is left as it is.</source>
   <translation>Kein blankes Papier erkannt: das Licht bleibt, wie es ist.</translation>
  </message>
  <message>
   <source>The light was even; nothing was changed.</source>
   <translation>Das Licht war gleichmäßig; nichts wurde geändert.</translation>
  </message>
  <message>
   <source> A shadow over {shadow} % of it could not be.</source>
   <translation> Ein Schatten über {shadow} % davon ließ sich nicht ausgleichen.</translation>
  </message>
  <message>
   <source>Ink {lower} graded, as it was painted</source>
   <translation>{lower} verlaufend einfärben, wie gemalt</translation>
  </message>
  <message>
   <source>This field: {area_mm2} mm², outline {outline_mm}</source>
   <translation>Dieses Feld: {area_mm2} mm², Umriss {outline_mm}</translation>
  </message>
  <message>
   <source>Lab {lab_text}</source>
   <translation>Lab {lab_text}</translation>
  </message>
  <message>
   <source>, {counts} fields</source>
   <translation>, {counts} Felder</translation>
  </message>
  <message>
   <source> (bare paper)</source>
   <translation> (blankes Papier)</translation>
  </message>
  <message>
   <source>; meets {beside}.</source>
   <translation>; trifft auf {beside}.</translation>
  </message>
  <message>
   <source>, {area} mm²</source>
   <translation>, {area} mm²</translation>
  </message>
  <message>
   <source> (the line)</source>
   <translation> (die Linie)</translation>
  </message>
  <message>
   <source>no source kept</source>
   <translation>keine Vorlage behalten</translation>
  </message>
  <message>
   <source>Picture</source>
   <translation>Bild</translation>
  </message>
  <message>
   <source>Colours</source>
   <translation>Farben</translation>
  </message>
  <message>
   <source>Correct</source>
   <translation>Berichtigen</translation>
  </message>
  <message>
   <source>What is the design made of?</source>
   <translation>Woraus besteht der Entwurf?</translation>
  </message>
  <message>
   <source>Title of the print</source>
   <translation>Titel des Drucks</translation>
  </message>
  <message>
   <source>What the print is called on templates and in the statement.</source>
   <translation>Wie der Druck auf Schablonen und im Auflagenvermerk heißt.</translation>
  </message>
  <message>
   <source>Smallest feature</source>
   <translation>Kleinste Einzelheit</translation>
  </message>
  <message>
   <source>Smaller fields are joined to what is around them.</source>
   <translation>Kleinere Felder kommen zu dem, was sie umgibt.</translation>
  </message>
  <message>
   <source>So many flat colours the design is read as.</source>
   <translation>Als so viele flache Farben wird der Entwurf gelesen.</translation>
  </message>
  <message>
   <source>Mean ΔE for each number of colours, as a second opinion.</source>
   <translation>Mittleres ΔE für jede Zahl von Farben, als zweite Meinung.</translation>
  </message>
  <message>
   <source>Flat colours</source>
   <translation>Flache Farben</translation>
  </message>
  <message>
   <source>Name of the colour</source>
   <translation>Name der Farbe</translation>
  </message>
  <message>
   <source>Leave it bare</source>
   <translation>Blank lassen</translation>
  </message>
  <message>
   <source>Keep this colour whatever the number</source>
   <translation>Diese Farbe immer behalten</translation>
  </message>
  <message>
   <source>Make this colour one with another</source>
   <translation>Mit einer anderen Farbe vereinen</translation>
  </message>
  <message>
   <source>Split the clicked field off</source>
   <translation>Das angeklickte Feld abspalten</translation>
  </message>
  <message>
   <source>{source}, {size_text}. The flat colours are ΔE {mean_de00} from it on average.</source>
   <translation>{source}, {size_text}. Die flachen Farben liegen im Mittel ΔE {mean_de00} daneben.</translation>
  </message>
  <message>
   <source>Make it one with…</source>
   <translation>Vereinen mit…</translation>
  </message>
  <message>
   <source>Kept whatever the number</source>
   <translation>Immer behalten</translation>
  </message>
  <message>
   <source>Print it with a block of its own</source>
   <translation>Mit eigenem Stock drucken</translation>
  </message>
  <message>
   <source>Leave it to the bare paper</source>
   <translation>Dem blanken Papier überlassen</translation>
  </message>
  <message>
   <source>Recolour</source>
   <translation>Umfärben</translation>
  </message>
  <message>
   <source>Drop faint lines</source>
   <translation>Blasse Linien weglassen</translation>
  </message>
  <message>
   <source>Rename colour</source>
   <translation>Farbe umbenennen</translation>
  </message>
  <message>
   <source>Make two colours one</source>
   <translation>Zwei Farben zu einer machen</translation>
  </message>
  <message>
   <source>Split a field off</source>
   <translation>Ein Feld abspalten</translation>
  </message>
  <message>
   <source>Keep a colour</source>
   <translation>Eine Farbe behalten</translation>
  </message>
  <message>
   <source>Ink it graded</source>
   <translation>Verlaufend einfärben</translation>
  </message>
  <message>
   <source>Choose a colour first, under Colours or with the tool Choose.</source>
   <translation>Zuerst eine Farbe wählen, unter Farben oder mit dem Werkzeug Wählen.</translation>
  </message>
  <message>
   <source>That is outside the image.</source>
   <translation>Das liegt außerhalb des Bildes.</translation>
  </message>
  <message>
   <source>Another colour</source>
   <translation>Andere Farbe</translation>
  </message>
  <message>
   <source>Leave bare</source>
   <translation>Blank lassen</translation>
  </message>
  <message>
   <source>Print a colour</source>
   <translation>Eine Farbe drucken</translation>
  </message>
  <message>
   <source>Fill a field</source>
   <translation>Ein Feld füllen</translation>
  </message>
  <message>
   <source>I am not sure where the sheet lies: please drag the four corners to what is to be printed, at Picture.</source>
   <translation>Wo der Bogen liegt, ist nicht sicher: bitte unter Bild die vier Ecken auf das ziehen, was gedruckt werden soll.</translation>
  </message>
  <message>
   <source>Writing is cut in mirror image to print as it reads; templates headed as mirrored show how.</source>
   <translation>Schrift wird spiegelverkehrt geschnitten, damit sie sich im Druck lesen lässt; als gespiegelt bezeichnete Vorlagen zeigen wie.</translation>
  </message>
  <message>
   <source>The sheet was found, and the drawing on it cut out. If a corner is off, drag it at Picture.</source>
   <translation>Der Bogen wurde gefunden und die Zeichnung darauf ausgeschnitten. Ist eine Ecke daneben, unter Bild ziehen.</translation>
  </message>
  <message>
   <source>How large the print is, the picture does not say: drag its corner, or type it at Picture.</source>
   <translation>Wie groß der Druck ist, sagt das Bild nicht: unter Bild an der Ecke ziehen oder eintippen.</translation>
  </message>
  <message>
   <source>Tones</source>
   <translation>Töne</translation>
  </message>
  <message>
   <source>Left out: {what}.</source>
   <translation>Weggelassen: {what}.</translation>
  </message>
  <message>
   <source>Does it belong to the drawing? {what}: say so at Picture.</source>
   <translation>Gehört es zur Zeichnung? {what}: bei Bild angeben.</translation>
  </message>
  <message>
   <source>A drawing in flat colours, or tones that run into each other?</source>
   <translation>Eine Zeichnung in flachen Farben oder Töne, die ineinander übergehen?</translation>
  </message>
  <message>
   <source>reading the design</source>
   <translation>Entwurf wird gelesen</translation>
  </message>
  <message>
   <source>drawing the outlines</source>
   <translation>Umrisse werden gezeichnet</translation>
  </message>
  <message>
   <source>Flatten to {colours} colours</source>
   <translation>Auf {colours} Farben bringen</translation>
  </message>
  <message>
   <source>The studio is left out: {error}</source>
   <translation>Das Studio bleibt weg: {error}</translation>
  </message>
  <message>
   <source>Is it a sketch? See both</source>
   <translation>Ist es eine Skizze? Beide ansehen</translation>
  </message>
  <message>
   <source>Is it tones? See both</source>
   <translation>Sind es Töne? Beide ansehen</translation>
  </message>
  <message>
   <source>Drag the corner until the print is as large on the sheet as you want it; arrow keys go by 1 mm. Another sheet can be chosen below.</source>
   <translation>Die Ecke ziehen, bis der Druck auf dem Bogen so groß ist wie gewünscht; Pfeiltasten gehen um 1 mm. Unten lässt sich ein anderer Bogen wählen.</translation>
  </message>
  <message>
   <source>Drag the four corners to what is to be printed; arrow keys move the chosen one.</source>
   <translation>Die vier Ecken auf das ziehen, was gedruckt werden soll; Pfeiltasten bewegen die gewählte.</translation>
  </message>
  <message>
   <source>Drag the four corners of the paper it was drawn on: light and size are judged by it.</source>
   <translation>Die vier Ecken des Papiers ziehen, auf dem gezeichnet wurde: danach werden Licht und Größe beurteilt.</translation>
  </message>
  <message>
   <source>Draw a line on the picture along something whose length you know.</source>
   <translation>Auf dem Bild eine Linie entlang etwas zeichnen, dessen Länge bekannt ist.</translation>
  </message>
  <message>
   <source>Click round a place that is to stay bare paper; a double click closes it.</source>
   <translation>Um eine Stelle herumklicken, die blankes Papier bleiben soll; ein Doppelklick schließt sie.</translation>
  </message>
  <message>
   <source>{places} hatched where two colours were hard to tell apart: look there first.</source>
   <translation>{places} schraffiert, wo zwei Farben schwer zu unterscheiden waren: dort zuerst nachsehen.</translation>
  </message>
  <message>
   <source>as it looks</source>
   <translation>wie es aussieht</translation>
  </message>
  <message>
   <source>a clean drawing</source>
   <translation>eine saubere Zeichnung</translation>
  </message>
  <message>
   <source>a sketch</source>
   <translation>eine Skizze</translation>
  </message>
  <message>
   <source>Choose</source>
   <translation>Wählen</translation>
  </message>
  <message>
   <source>Click a field to choose its colour.</source>
   <translation>Ein Feld anklicken, um seine Farbe zu wählen.</translation>
  </message>
  <message>
   <source>Click where a colour is missing: it is added and takes what is like it.</source>
   <translation>Klicken, wo eine Farbe fehlt: sie kommt dazu und nimmt, was ihr gleicht.</translation>
  </message>
  <message>
   <source>Click a field that is bare paper: nothing is printed there.</source>
   <translation>Ein Feld anklicken, das blankes Papier ist: dort wird nichts gedruckt.</translation>
  </message>
  <message>
   <source>Click a field that belongs to the drawn line.</source>
   <translation>Ein Feld anklicken, das zur gezeichneten Linie gehört.</translation>
  </message>
  <message>
   <source>No line</source>
   <translation>Keine Linie</translation>
  </message>
  <message>
   <source>Click a stroke that is no line: what runs below it comes to light.</source>
   <translation>Einen Strich anklicken, der keine Linie ist: was darunter verläuft, kommt zum Vorschein.</translation>
  </message>
  <message>
   <source>Fill</source>
   <translation>Füllen</translation>
  </message>
  <message>
   <source>Click a field: it gets the colour chosen in the list.</source>
   <translation>Ein Feld anklicken: es bekommt die in der Liste gewählte Farbe.</translation>
  </message>
  <message>
   <source>Draw with the colour chosen in the list, for the last millimetre.</source>
   <translation>Mit der in der Liste gewählten Farbe zeichnen, für den letzten Millimeter.</translation>
  </message>
  <message>
   <source>There is no place where two colours were hard to tell apart.</source>
   <translation>Es gibt keine Stelle, wo zwei Farben schwer zu unterscheiden waren.</translation>
  </message>
  <message>
   <source>One place is</source>
   <translation>Eine Stelle ist</translation>
  </message>
  <message>
   <source>{count} places are</source>
   <translation>{count} Stellen sind</translation>
  </message>
  <message>
   <source>Find the sheet and the drawing</source>
   <translation>Bogen und Zeichnung suchen</translation>
  </message>
  <message>
   <source>The whole picture</source>
   <translation>Das ganze Bild</translation>
  </message>
  <message>
   <source>The line drawn is</source>
   <translation>Die gezeichnete Linie misst</translation>
  </message>
  <message>
   <source>How long it is on the print.</source>
   <translation>Wie lang sie auf dem Druck ist.</translation>
  </message>
  <message>
   <source>Set the size by it</source>
   <translation>Größe danach einstellen</translation>
  </message>
  <message>
   <source>Print all of it again</source>
   <translation>Wieder alles drucken</translation>
  </message>
  <message>
   <source>Width of the print</source>
   <translation>Breite des Drucks</translation>
  </message>
  <message>
   <source>Of the image, without the sheet's margin. Type 18 cm or 7 in as well.</source>
   <translation>Des Bildes, ohne den Bogenrand. Auch 18 cm oder 7 in lassen sich tippen.</translation>
  </message>
  <message>
   <source>Of the image, without the sheet's margin.</source>
   <translation>Des Bildes, ohne den Bogenrand.</translation>
  </message>
  <message>
   <source>Keep the shape as it is seen</source>
   <translation>Die gesehene Form behalten</translation>
  </message>
  <message>
   <source>Width and height change together.</source>
   <translation>Breite und Höhe ändern sich zusammen.</translation>
  </message>
  <message>
   <source>A paper of a known size.</source>
   <translation>Ein Papier bekannter Größe.</translation>
  </message>
  <message>
   <source>Margin all round</source>
   <translation>Rand ringsum</translation>
  </message>
  <message>
   <source>Kept free on the chosen sheet when the print is fitted on it.</source>
   <translation>Bleibt auf dem gewählten Bogen frei, wenn der Druck eingepasst wird.</translation>
  </message>
  <message>
   <source>Fit the print on that sheet</source>
   <translation>Druck auf diesen Bogen einpassen</translation>
  </message>
  <message>
   <source>The sketch was drawn on that sheet</source>
   <translation>Auf diesem Bogen wurde skizziert</translation>
  </message>
  <message>
   <source>How the picture is read: a clean drawing, a sketch, or tones.</source>
   <translation>Wie das Bild gelesen wird: saubere Zeichnung, Skizze oder Tonwerte.</translation>
  </message>
  <message>
   <source>This paper is</source>
   <translation>Dieses Papier ist</translation>
  </message>
  <message>
   <source>What the drawing stands on; what is printed stands on the same, unless Inks says otherwise.</source>
   <translation>Worauf die Zeichnung steht; der Druck steht auf demselben, wenn Farben nichts anderes sagt.</translation>
  </message>
  <message>
   <source>Drop the faint pencil lines</source>
   <translation>Blasse Bleistiftlinien weglassen</translation>
  </message>
  <message>
   <source>Look at the next doubtful place</source>
   <translation>Nächste zweifelhafte Stelle ansehen</translation>
  </message>
  <message>
   <source>All over the picture, not only nearby</source>
   <translation>Auf dem ganzen Bild, nicht nur in der Nähe</translation>
  </message>
  <message>
   <source>What is like it anywhere becomes that colour.</source>
   <translation>Was ihr irgendwo gleicht, wird diese Farbe.</translation>
  </message>
  <message>
   <source>Width of the brush</source>
   <translation>Breite des Pinsels</translation>
  </message>
  <message>
   <source>How wide a stroke comes out on the print.</source>
   <translation>Wie breit ein Strich auf dem Druck wird.</translation>
  </message>
  <message>
   <source>Corrected so far</source>
   <translation>Bisher berichtigt</translation>
  </message>
  <message>
   <source>Look for the paper in the photograph, and for the drawing on it.</source>
   <translation>Das Papier im Foto suchen und die Zeichnung darauf.</translation>
  </message>
  <message>
   <source>Print all of the picture.</source>
   <translation>Das ganze Bild drucken.</translation>
  </message>
  <message>
   <source>Turn left</source>
   <translation>Nach links drehen</translation>
  </message>
  <message>
   <source>Turn right</source>
   <translation>Nach rechts drehen</translation>
  </message>
  <message>
   <source>As large as the sheet holds within the margin.</source>
   <translation>So groß, wie es der Bogen innerhalb des Randes fasst.</translation>
  </message>
  <message>
   <source>The photographed sheet has this size: the print's size follows.</source>
   <translation>Der fotografierte Bogen hat diese Größe: danach richtet sich der Druck.</translation>
  </message>
  <message>
   <source>as it was found</source>
   <translation>wie gefunden</translation>
  </message>
  <message>
   <source>The picture lies between the two: both readings side by side, to choose from.</source>
   <translation>Das Bild liegt zwischen beiden: beide Lesarten nebeneinander zur Wahl.</translation>
  </message>
  <message>
   <source>What is printed of it</source>
   <translation>Was davon gedruckt wird</translation>
  </message>
  <message>
   <source>How large</source>
   <translation>Wie groß</translation>
  </message>
  <message>
   <source>How it is read</source>
   <translation>Wie es gelesen wird</translation>
  </message>
  <message>
   <source>Point at what is wrong</source>
   <translation>Auf das Falsche zeigen</translation>
  </message>
  <message>
   <source> Chosen: {colour}.</source>
   <translation> Gewählt: {colour}.</translation>
  </message>
  <message>
   <source> Choose one first, under Colours.</source>
   <translation> Zuerst eine wählen, unter Farben.</translation>
  </message>
  <message>
   <source>A quarter turn.</source>
   <translation>Eine Vierteldrehung.</translation>
  </message>
  <message>
   <source>Left and right change sides.</source>
   <translation>Links und rechts tauschen.</translation>
  </message>
  <message>
   <source>Drag the corners of what is printed.</source>
   <translation>Die Ecken dessen ziehen, was gedruckt wird.</translation>
  </message>
  <message>
   <source>Drag the print's size on a sheet of paper.</source>
   <translation>Die Größe des Drucks auf einem Bogen Papier ziehen.</translation>
  </message>
  <message>
   <source>Drag the corners of the paper it was drawn on: light and size are judged by it.</source>
   <translation>Die Ecken des Papiers ziehen, auf dem gezeichnet wurde: danach werden Licht und Größe beurteilt.</translation>
  </message>
  <message>
   <source>Length</source>
   <translation>Länge</translation>
  </message>
  <message>
   <source>Draw along something whose length you know.</source>
   <translation>An etwas entlangzeichnen, dessen Länge bekannt ist.</translation>
  </message>
  <message>
   <source>Stays bare</source>
   <translation>Bleibt blank</translation>
  </message>
  <message>
   <source>Draw round what is not printed.</source>
   <translation>Umfahren, was nicht gedruckt wird.</translation>
  </message>
  <message>
   <source>It is hatched in the picture; undo takes it back.</source>
   <translation>Es ist im Bild schraffiert; Rückgängig nimmt es zurück.</translation>
  </message>
  <message>
   <source>top left</source>
   <translation>oben links</translation>
  </message>
  <message>
   <source>top right</source>
   <translation>oben rechts</translation>
  </message>
  <message>
   <source>bottom right</source>
   <translation>unten rechts</translation>
  </message>
  <message>
   <source>bottom left</source>
   <translation>unten links</translation>
  </message>
  <message>
   <source>Picture as it was opened</source>
   <translation>Bild, wie es geöffnet wurde</translation>
  </message>
  <message>
   <source>Corner {name}: {x:.0f}, {y:.0f} pixels. Arrows move it by one, with Shift by ten; Space takes the next corner.</source>
   <translation>Ecke {name}: {x:.0f}, {y:.0f} Bildpunkte. Pfeile bewegen sie um einen, mit Umschalt um zehn; die Leertaste nimmt die nächste Ecke.</translation>
  </message>
  <message>
   <source>corners</source>
   <translation>Ecken</translation>
  </message>
  <message>
   <source>length</source>
   <translation>Länge</translation>
  </message>
  <message>
   <source>bare</source>
   <translation>blank</translation>
  </message>
  <message>
   <source>size</source>
   <translation>Größe</translation>
  </message>
  <message>
   <source>A first, coarse look; the fields follow.</source>
   <translation>Ein erster, grober Blick; die Felder folgen.</translation>
  </message>
  <message>
   <source>The sheet and the drawing on it.</source>
   <translation>Der Bogen und die Zeichnung darauf.</translation>
  </message>
  <message>
   <source>The print {size_text}, on {paper} {size_text_2}</source>
   <translation>Der Druck {size_text}, auf {paper} {size_text_2}</translation>
  </message>
  <message>
   <source>Click the card's bare paper on the sheet.</source>
   <translation>Auf dem Bogen das blanke Papier der Karte anklicken.</translation>
  </message>
  <message>
   <source>Click its grey patch, or go on without.</source>
   <translation>Ihr graues Feld anklicken oder ohne weitermachen.</translation>
  </message>
  <message>
   <source>Click an ink patch.</source>
   <translation>Ein Farbfeld anklicken.</translation>
  </message>
  <message>
   <source>Click the bare black stripe.</source>
   <translation>Den blanken schwarzen Streifen anklicken.</translation>
  </message>
  <message>
   <source>Click the ink where it runs over the stripe.</source>
   <translation>Die Farbe anklicken, wo sie über den Streifen läuft.</translation>
  </message>
  <message>
   <source>{name}: Lab {lab_text}, even to ΔE {spread}.</source>
   <translation>{name}: Lab {lab_text}, gleichmäßig auf ΔE {spread}.</translation>
  </message>
  <message>
   <source>A scan of ink drawn down on this paper gives its colour.</source>
   <translation>Ein Scan der auf diesem Papier aufgestrichenen Farbe gibt ihren Farbwert.</translation>
  </message>
  <message>
   <source> Over black it is read: its K and S are known.</source>
   <translation> Über Schwarz ist sie gemessen: K und S sind bekannt.</translation>
  </message>
  <message>
   <source>Rename ink</source>
   <translation>Druckfarbe umbenennen</translation>
  </message>
  <message>
   <source>Ink colour</source>
   <translation>Farbwert der Druckfarbe</translation>
  </message>
  <message>
   <source>Opacity</source>
   <translation>Deckkraft</translation>
  </message>
  <message>
   <source>Rename paper</source>
   <translation>Papier umbenennen</translation>
  </message>
  <message>
   <source>Paper colour</source>
   <translation>Farbwert des Papiers</translation>
  </message>
  <message>
   <source>Nine in ten colours come out within the ± given; the least sure within ΔE {before}.</source>
   <translation>Neun von zehn Farben kommen innerhalb des ± heraus; die unsicherste auf ΔE {before}.</translation>
  </message>
  <message>
   <source>{changed} the knife it {knife_test}.</source>
   <translation>Am Messer {knife_test} sie, {changed}.</translation>
  </message>
  <message>
   <source> Print the chart of {join} and {inks}, at See: the range falls to ±{after}.</source>
   <translation> Unter Sehen die Tafel von {join} und {inks} drucken: die Spanne fällt auf ±{after}.</translation>
  </message>
  <message>
   <source>{strength} % ink</source>
   <translation>{strength} % Farbe</translation>
  </message>
  <message>
   <source>Now {tack}: on</source>
   <translation>Jetzt {tack}: auf</translation>
  </message>
  <message>
   <source>On</source>
   <translation>Auf</translation>
  </message>
  <message>
   <source>{apart}Lab {lab_text}, {opacity} {ratio}</source>
   <translation>{apart}Lab {lab_text}, {opacity} {ratio}</translation>
  </message>
  <message>
   <source>Inks keep the colour they have on it.</source>
   <translation>Druckfarben behalten darauf ihre Farbe.</translation>
  </message>
  <message>
   <source>Each patch: the ink alone on this paper.</source>
   <translation>Jedes Feld: die Druckfarbe allein auf diesem Papier.</translation>
  </message>
  <message>
   <source>{strength} to {to} %</source>
   <translation>{strength} bis {to} %</translation>
  </message>
  <message>
   <source>pull {place}, zone {zone_at}, </source>
   <translation>Druckgang {place}, Zone {zone_at}, </translation>
  </message>
  <message>
   <source>△ duller here: read on whiter paper. {capitalize}</source>
   <translation>△ hier stumpfer: auf weißerem Papier gemessen. {capitalize}</translation>
  </message>
  <message>
   <source>ΔE {de00}{give_or_take}</source>
   <translation>ΔE {de00}{give_or_take}</translation>
  </message>
  <message>
   <source>Film by weight</source>
   <translation>Film nach Gewicht</translation>
  </message>
  <message>
   <source> of the {most_inks} inks of {count} that overlap most</source>
   <translation> der {most_inks} von {count} Druckfarben, die sich am meisten überlappen</translation>
  </message>
  <message>
   <source>The inks are kept in {folder}.</source>
   <translation>Die Druckfarben liegen in {folder}.</translation>
  </message>
  <message>
   <source>reading the card</source>
   <translation>Karte wird gelesen</translation>
  </message>
  <message>
   <source>Colour from a drawdown</source>
   <translation>Farbe nach Aufstrich</translation>
  </message>
  <message>
   <source>fitting the ink</source>
   <translation>Druckfarbe wird angepasst</translation>
  </message>
  <message>
   <source>Ink from a drawdown</source>
   <translation>Druckfarbe nach Aufstrich</translation>
  </message>
  <message>
   <source>drawing the card</source>
   <translation>Karte wird gezeichnet</translation>
  </message>
  <message>
   <source>drawing the chart</source>
   <translation>Tafel wird gezeichnet</translation>
  </message>
  <message>
   <source>reading the chart</source>
   <translation>Tafel wird gelesen</translation>
  </message>
  <message>
   <source>refining the inks</source>
   <translation>Druckfarben werden verfeinert</translation>
  </message>
  <message>
   <source>Learn from a chart</source>
   <translation>Aus einer Tafel lernen</translation>
  </message>
  <message>
   <source>Learn from the proof</source>
   <translation>Aus dem Probedruck lernen</translation>
  </message>
  <message>
   <source>The card is in {path}.</source>
   <translation>Die Karte liegt in {path}.</translation>
  </message>
  <message>
   <source>Weigh ink, slab and roller together: less must be there after than before.</source>
   <translation>Farbe, Platte und Walze zusammen wiegen: danach muss weniger da sein als davor.</translation>
  </message>
  <message>
   <source>The chart{which} is in {path}.</source>
   <translation>Die Tafel{which} liegt in {path}.</translation>
  </message>
  <message>
   <source>Choose an ink, then drag along a strip: the print answers at once.</source>
   <translation>Eine Farbe wählen, dann einen Streifen entlangziehen: der Druck antwortet sofort.</translation>
  </message>
  <message>
   <source>Choose an ink in the list first</source>
   <translation>Zuerst in der Liste eine Farbe wählen</translation>
  </message>
  <message>
   <source>Printed on dry ink, the whole film takes.</source>
   <translation>Auf trockene Farbe gedruckt, wird der ganze Film angenommen.</translation>
  </message>
  <message>
   <source>Printing it {passes} is as far as it is worth</source>
   <translation>Es {passes} zu drucken, so weit lohnt es</translation>
  </message>
  <message>
   <source>By its colour taken for {family}. A drawdown makes it sure.</source>
   <translation>Nach ihrer Farbe genommen für {family}. Ein Aufstrich macht es sicher.</translation>
  </message>
  <message>
   <source>{print_g} g come onto the prints, {tool_g} g stay on slab and tools and can go on into the next colour mixed from it, {lost_g} g are wiped off. From memory: weigh before and after.</source>
   <translation>{print_g} g kommen auf die Drucke, {tool_g} g bleiben auf Platte und Werkzeug und können in die nächste daraus gemischte Farbe gehen, {lost_g} g werden abgewischt. Aus dem Gedächtnis: davor und danach wiegen.</translation>
  </message>
  <message>
   <source>For {name}</source>
   <translation>Für {name}</translation>
  </message>
  <message>
   <source>Wanted {lab_text}. Weighed to 0.1 g it comes to ΔE {de00}, by parts to {de00_2}. It hides {hiding} % of what is below</source>
   <translation>Gewünscht {lab_text}. Auf 0,1 g gewogen kommt ΔE {de00} heraus, nach Teilen {de00_2}. Verborgen werden {hiding} % dessen, was darunterliegt</translation>
  </message>
  <message>
   <source> Too little {name} for the scales: thin it {times} times in extender first, then {grams}: ΔE {de00}.</source>
   <translation> Zu wenig {name} für die Waage: erst {times}-fach in Lasurmittel verdünnen, dann {grams}: ΔE {de00}.</translation>
  </message>
  <message>
   <source>From ΔE {before} to {de00}.</source>
   <translation>Von ΔE {before} auf {de00}.</translation>
  </message>
  <message>
   <source>{share} % of the film takes on the wet ink below: {source}.</source>
   <translation>{share} % des Films werden auf der nassen Farbe darunter angenommen: {source}.</translation>
  </message>
  <message>
   <source>Printed again over itself it gains ΔE {gains}: {worth}.</source>
   <translation>Noch einmal über sich selbst gedruckt, gewinnt sie ΔE {gains}: {worth}.</translation>
  </message>
  <message>
   <source> and costs {cost} per 100 g.</source>
   <translation> und kostet {cost} je 100 g.</translation>
  </message>
  <message>
   <source>ΔE {before}: nothing on this shelf brings it nearer.</source>
   <translation>ΔE {before}: nichts in diesem Vorrat bringt sie näher.</translation>
  </message>
  <message>
   <source>measured</source>
   <translation>gemessen</translation>
  </message>
  <message>
   <source>worked out from the tack of both inks</source>
   <translation>aus der Zügigkeit beider Farben errechnet</translation>
  </message>
  <message>
   <source>The first pull has nothing wet below it.</source>
   <translation>Der erste Druckgang hat nichts Nasses unter sich.</translation>
  </message>
  <message>
   <source> + {rest} g extender</source>
   <translation> + {rest} g Lasurmittel</translation>
  </message>
  <message>
   <source> + {batch} g modifier</source>
   <translation> + {batch} g Zusatz</translation>
  </message>
  <message>
   <source>{said} {remedy} Mean ΔE {before} → {after}.</source>
   <translation>{said} {remedy} Mittleres ΔE {before} → {after}.</translation>
  </message>
  <message>
   <source>{number} g   {get} parts</source>
   <translation>{number} g   {get} Teile</translation>
  </message>
  <message>
   <source> It takes more than the batch itself: mix anew.</source>
   <translation> Es braucht mehr als die Menge selbst: neu mischen.</translation>
  </message>
  <message>
   <source>time</source>
   <translation>Mal</translation>
  </message>
  <message>
   <source>read {lab_text}, predicted {lab_text_2}</source>
   <translation>gelesen {lab_text}, vorhergesagt {lab_text_2}</translation>
  </message>
  <message>
   <source>add {name}</source>
   <translation>{name} hinzugeben</translation>
  </message>
  <message>
   <source>Mix</source>
   <translation>Mischen</translation>
  </message>
  <message>
   <source>See</source>
   <translation>Sehen</translation>
  </message>
  <message>
   <source>Reach</source>
   <translation>Umfang</translation>
  </message>
  <message>
   <source>Proof</source>
   <translation>Probedruck</translation>
  </message>
  <message>
   <source>Which inks?</source>
   <translation>Welche Druckfarben?</translation>
  </message>
  <message>
   <source>Name of the ink</source>
   <translation>Name der Druckfarbe</translation>
  </message>
  <message>
   <source>What the ink is called on cards, lists and the ladder.</source>
   <translation>Wie die Druckfarbe auf Karten, Listen und der Leiter heißt.</translation>
  </message>
  <message>
   <source>At the end</source>
   <translation>Am Ende</translation>
  </message>
  <message>
   <source>Drag the two rings on the sheet to where it begins and ends.</source>
   <translation>Die zwei Ringe auf dem Bogen dorthin ziehen, wo es beginnt und endet.</translation>
  </message>
  <message>
   <source>Furthest from what is wanted</source>
   <translation>Am weitesten vom Gewünschten</translation>
  </message>
  <message>
   <source>Wanted and predicted</source>
   <translation>Gewünscht und vorhergesagt</translation>
  </message>
  <message>
   <source>On the finished print, colours are ΔE {mean_de00} from what is wanted on average. The right of each swatch: the ink over black; the figure its contrast ratio, 0 clear to 1 hiding.</source>
   <translation>Auf dem fertigen Druck liegen die Farben im Mittel um ΔE {mean_de00} neben dem Gewünschten. Rechts in jedem Feld: die Farbe über Schwarz; die Zahl ihr Deckverhältnis, 0 klar bis 1 deckend.</translation>
  </message>
  <message>
   <source>Transparent</source>
   <translation>Durchscheinend</translation>
  </message>
  <message>
   <source>What lies below shows through.</source>
   <translation>Was darunterliegt, scheint durch.</translation>
  </message>
  <message>
   <source>Half</source>
   <translation>Halb</translation>
  </message>
  <message>
   <source>It hides a part of what lies below.</source>
   <translation>Verbirgt einen Teil dessen, was darunterliegt.</translation>
  </message>
  <message>
   <source>Opaque</source>
   <translation>Deckend</translation>
  </message>
  <message>
   <source>It hides what lies below.</source>
   <translation>Verbirgt, was darunterliegt.</translation>
  </message>
  <message>
   <source>Inked evenly</source>
   <translation>Gleichmäßig eingefärbt</translation>
  </message>
  <message>
   <source>The zone has one strength.</source>
   <translation>Die Zone hat eine Stärke.</translation>
  </message>
  <message>
   <source>Graded</source>
   <translation>Verlaufend</translation>
  </message>
  <message>
   <source>The zone goes from one strength to another.</source>
   <translation>Die Zone geht von einer Stärke in eine andere über.</translation>
  </message>
  <message>
   <source>Ink before</source>
   <translation>Farbe davor</translation>
  </message>
  <message>
   <source>Weight of the ink before the pulls.</source>
   <translation>Gewicht der Farbe vor den Drucken.</translation>
  </message>
  <message>
   <source>Ink after</source>
   <translation>Farbe danach</translation>
  </message>
  <message>
   <source>Weight of what is left of it.</source>
   <translation>Gewicht dessen, was übrig ist.</translation>
  </message>
  <message>
   <source>Pulls between</source>
   <translation>Drucke dazwischen</translation>
  </message>
  <message>
   <source>So many pulls were made between both weighings.</source>
   <translation>So viele Drucke lagen zwischen beiden Wägungen.</translation>
  </message>
  <message>
   <source>Work the film out from these weights</source>
   <translation>Den Film aus diesen Gewichten ausrechnen</translation>
  </message>
  <message>
   <source>Compare with a picture of a proof…</source>
   <translation>Mit einem Bild eines Abzugs vergleichen …</translation>
  </message>
  <message>
   <source>Photograph the whole sheet in even light, or scan it.</source>
   <translation>Den ganzen Bogen in gleichmäßigem Licht fotografieren, oder scannen.</translation>
  </message>
  <message>
   <source>Fields of the proof</source>
   <translation>Felder des Probedrucks</translation>
  </message>
  <message>
   <source>How thick your films are, from what was weighed.</source>
   <translation>Wie dick die Filme sind, nach den Wägungen.</translation>
  </message>
  <message>
   <source>Measure the colours of a real proof against the plan.</source>
   <translation>Die Farben eines echten Probedrucks gegen den Plan messen.</translation>
  </message>
  <message>
   <source>Ink for the edition</source>
   <translation>Farbe für die Auflage</translation>
  </message>
  <message>
   <source>Learning from the proof</source>
   <translation>Aus dem Probedruck lernen</translation>
  </message>
  <message>
   <source>{scan}: furthest from what was predicted.</source>
   <translation>{scan}: am weitesten neben dem Vorhergesagten.</translation>
  </message>
  <message>
   <source>Take it into the plan</source>
   <translation>In den Plan übernehmen</translation>
  </message>
  <message>
   <source>Gloves and air with solvents; no dust of dry pigments. The ink's safety sheet comes first.</source>
   <translation>Handschuhe und Luft bei Lösungsmitteln; kein Staub trockener Pigmente. Das Sicherheitsblatt der Farbe geht vor.</translation>
  </message>
  <message>
   <source>The studio's inks</source>
   <translation>Farben des Studios</translation>
  </message>
  <message>
   <source>Keep this print's inks as a shelf…</source>
   <translation>Farben dieses Drucks als Vorrat behalten…</translation>
  </message>
  <message>
   <source>Inks at most</source>
   <translation>Höchstens Druckfarben</translation>
  </message>
  <message>
   <source>So many inks a recipe may hold, beside extender and white.</source>
   <translation>So viele Druckfarben darf ein Rezept haben, neben Lasurmittel und Weiß.</translation>
  </message>
  <message>
   <source>How much is to be mixed at once.</source>
   <translation>Wie viel auf einmal gemischt wird.</translation>
  </message>
  <message>
   <source>Recipes</source>
   <translation>Rezepte</translation>
  </message>
  <message>
   <source>Use this recipe</source>
   <translation>Dieses Rezept nehmen</translation>
  </message>
  <message>
   <source>It came out otherwise</source>
   <translation>Es kam anders heraus</translation>
  </message>
  <message>
   <source>Say what to add</source>
   <translation>Sagen, was hinzukommt</translation>
  </message>
  <message>
   <source>Teach the ink from readings…</source>
   <translation>Druckfarbe aus Messungen lernen…</translation>
  </message>
  <message>
   <source>It runs over a black stripe too</source>
   <translation>Sie läuft auch über einen schwarzen Streifen</translation>
  </message>
  <message>
   <source>A card to draw down on, to print…</source>
   <translation>Eine Aufstrichkarte, zum Drucken…</translation>
  </message>
  <message>
   <source>From {shelf}. The batch is for the sheets at Proof.</source>
   <translation>Aus {shelf}. Die Menge gilt für die Bogen unter Probedruck.</translation>
  </message>
  <message>
   <source>Open a shelf…</source>
   <translation>Farbvorrat öffnen…</translation>
  </message>
  <message>
   <source>Find recipes</source>
   <translation>Rezepte suchen</translation>
  </message>
  <message>
   <source>Mix from the inks that are kept in the studio.</source>
   <translation>Aus den im Studio behaltenen Druckfarben mischen.</translation>
  </message>
  <message>
   <source>Write them as a table, for the next print.</source>
   <translation>Als Tabelle schreiben, für den nächsten Druck.</translation>
  </message>
  <message>
   <source>The colour that came out, as it was read.</source>
   <translation>Die Farbe, die herauskam, wie sie gemessen wurde.</translation>
  </message>
  <message>
   <source>Take the ink's optics from measured readings.</source>
   <translation>Die Optik der Farbe aus Messungen nehmen.</translation>
  </message>
  <message>
   <source>Read a drawdown card…</source>
   <translation>Aufstrichkarte lesen…</translation>
  </message>
  <message>
   <source>It has no grey patch</source>
   <translation>Sie hat kein graues Feld</translation>
  </message>
  <message>
   <source>Use this colour for the ink</source>
   <translation>Diesen Farbwert für die Druckfarbe nehmen</translation>
  </message>
  <message>
   <source>A card with black and white bars for a drawdown of the ink.</source>
   <translation>Eine Karte mit schwarzen und weißen Balken für einen Aufstrich der Farbe.</translation>
  </message>
  <message>
   <source>A measured ink</source>
   <translation>Eine gemessene Druckfarbe</translation>
  </message>
  <message>
   <source>Mix from your own inks: a table of them.</source>
   <translation>Aus eigenen Druckfarben mischen: eine Tabelle davon.</translation>
  </message>
  <message>
   <source>Look for mixtures of the shelf that show this ink's colour here.</source>
   <translation>Mischungen aus dem Vorrat suchen, die hier diese Farbe zeigen.</translation>
  </message>
  <message>
   <source>Take the ink's optics from a scan of the card.</source>
   <translation>Die Optik der Farbe aus einem Scan der Karte nehmen.</translation>
  </message>
  <message>
   <source>ink files</source>
   <translation>Druckfarbendateien</translation>
  </message>
  <message>
   <source>Take a recipe</source>
   <translation>Ein Rezept nehmen</translation>
  </message>
  <message>
   <source>{name}: {readings} readings, worst ΔE {de00:.1f}; S is uncertain in {unsure:.0f} % of the spectrum.</source>
   <translation>{name}: {readings} Messungen, größtes ΔE {de00:.1f}; S ist in {unsure:.0f} % des Spektrums unsicher.</translation>
  </message>
  <message>
   <source>finding recipes</source>
   <translation>Rezepte werden gesucht</translation>
  </message>
  <message>
   <source>writing a file</source>
   <translation>Datei wird geschrieben</translation>
  </message>
  <message>
   <source>Choose an ink first, in the list.</source>
   <translation>Zuerst in der Liste eine Druckfarbe wählen.</translation>
  </message>
  <message>
   <source>Find a recipe first.</source>
   <translation>Zuerst ein Rezept suchen.</translation>
  </message>
  <message>
   <source>Teach an ink</source>
   <translation>Druckfarbe lernen</translation>
  </message>
  <message>
   <source>Flat first, then graded</source>
   <translation>Erst flach, dann verlaufend</translation>
  </message>
  <message>
   <source>all colours</source>
   <translation>allen Farben</translation>
  </message>
  <message>
   <source>lightness alone, grey</source>
   <translation>nur Helligkeit, grau</translation>
  </message>
  <message>
   <source>eyes that miss red (protan)</source>
   <translation>Augen ohne Rot (protan)</translation>
  </message>
  <message>
   <source>eyes that miss green (deutan)</source>
   <translation>Augen ohne Grün (deutan)</translation>
  </message>
  <message>
   <source>eyes that miss blue (tritan)</source>
   <translation>Augen ohne Blau (tritan)</translation>
  </message>
  <message>
   <source>Colours in reach</source>
   <translation>Erreichbare Farben</translation>
  </message>
  <message>
   <source>b* up, a* right</source>
   <translation>b* nach oben, a* nach rechts</translation>
  </message>
  <message>
   <source>Light</source>
   <translation>Licht</translation>
  </message>
  <message>
   <source>Under which light the print is looked at.</source>
   <translation>Bei welchem Licht der Druck betrachtet wird.</translation>
  </message>
  <message>
   <source>Seen by</source>
   <translation>Gesehen mit</translation>
  </message>
  <message>
   <source>With which eyes it is looked at.</source>
   <translation>Mit welchen Augen er betrachtet wird.</translation>
  </message>
  <message>
   <source>Layers here</source>
   <translation>Schichten hier</translation>
  </message>
  <message>
   <source>Overlaps on the sheet</source>
   <translation>Überdrucke auf dem Bogen</translation>
  </message>
  <message>
   <source>Chart of all overlaps, to print…</source>
   <translation>Tafel aller Überdrucke, zum Drucken…</translation>
  </message>
  <message>
   <source>Compare a scan of it…</source>
   <translation>Einen Scan davon vergleichen…</translation>
  </message>
  <message>
   <source>The printed chart</source>
   <translation>Die gedruckte Tafel</translation>
  </message>
  <message>
   <source>Learn the inks from it…</source>
   <translation>Druckfarben daraus lernen…</translation>
  </message>
  <message>
   <source>At lightness</source>
   <translation>Bei Helligkeit</translation>
  </message>
  <message>
   <source>The slice of colours that is shown: all of this lightness.</source>
   <translation>Der gezeigte Schnitt der Farben: alle dieser Helligkeit.</translation>
  </message>
  <message>
   <source>Patches of all inks over each other, to be printed and scanned.</source>
   <translation>Felder aller Druckfarben übereinander, zum Drucken und Scannen.</translation>
  </message>
  <message>
   <source>Read a scan of the printed chart.</source>
   <translation>Einen Scan der gedruckten Tafel lesen.</translation>
  </message>
  <message>
   <source>Put the inks right by what the chart shows.</source>
   <translation>Die Druckfarben nach dem berichtigen, was die Tafel zeigt.</translation>
  </message>
  <message>
   <source>Overlaps on the sheet, by area</source>
   <translation>Überdrucke auf dem Bogen, nach Fläche</translation>
  </message>
  <message>
   <source>What these inks can reach, wanted as rings</source>
   <translation>Was diese Farben erreichen, Gewünschtes als Ringe</translation>
  </message>
  <message>
   <source>As it dries</source>
   <translation>Getrocknet</translation>
  </message>
  <message>
   <source>The print as it will be.</source>
   <translation>Der Druck, wie er sein wird.</translation>
  </message>
  <message>
   <source>While it is wet</source>
   <translation>Noch nass</translation>
  </message>
  <message>
   <source>Deeper and shining, as it leaves the press.</source>
   <translation>Tiefer und glänzend, wie er aus der Presse kommt.</translation>
  </message>
  <message>
   <source>Every wanted colour is within reach of one or two of these inks.</source>
   <translation>Jede gewünschte Farbe ist mit einer oder zweien dieser Druckfarben erreichbar.</translation>
  </message>
  <message>
   <source>Learnt from {patches} patches: on average ΔE {before} off before, {after} now; inks alone within {solids}. Undo takes it back.</source>
   <translation>Aus {patches} Feldern gelernt: vorher im Mittel ΔE {before} daneben, jetzt {after}; Farben allein auf {solids}. Rückgängig nimmt es zurück.</translation>
  </message>
  <message>
   <source>{said}, for {name} ΔE {off}</source>
   <translation>{said}, für {name} ΔE {off}</translation>
  </message>
  <message>
   <source>{far} of {wanted} wanted colours lie beyond ΔE 3 of what one or two of these inks give.</source>
   <translation>{far} von {wanted} gewünschten Farben liegen weiter als ΔE 3 von dem, was eine oder zwei dieser Druckfarben geben.</translation>
  </message>
  <message>
   <source>No two fields that match in the booth part in the other lights.</source>
   <translation>Keine zwei Felder, die im Abmusterungslicht gleich sind, unterscheiden sich in den anderen Lichtern.</translation>
  </message>
  <message>
   <source>Here: {count}, first printed first</source>
   <translation>Hier: {count}, zuerst gedruckte zuerst</translation>
  </message>
  <message>
   <source>Click the sheet to see its layers there</source>
   <translation>Den Bogen anklicken, um dort seine Schichten zu sehen</translation>
  </message>
  <message>
   <source>Here: bare paper</source>
   <translation>Hier: blankes Papier</translation>
  </message>
  <message>
   <source>, {share} % takes</source>
   <translation>, {share} % angenommen</translation>
  </message>
  <message>
   <source>△ {names} and {names_2} part by ΔE {apart} under {light_names}.</source>
   <translation>△ {names} und {names_2} unterscheiden sich um ΔE {apart} bei: {light_names}.</translation>
  </message>
  <message>
   <source>film {thickness} %{share}</source>
   <translation>Film {thickness} %{share}</translation>
  </message>
  <message>
   <source>left out: ΔE {change}</source>
   <translation>ohne sie: ΔE {change}</translation>
  </message>
  <message>
   <source>layers</source>
   <translation>Schichten</translation>
  </message>
  <message>
   <source>A pale and a dark end on one roller leaves roller marks in the pale part: print the pale flat first.</source>
   <translation>Ein blasses und ein dunkles Ende auf einer Walze hinterlassen Walzenspuren im Blassen: das Blasse zuerst flach drucken.</translation>
  </message>
  <message>
   <source>A coated sheet gives little light back from its surface; an absorbent one, as most papers for printing by hand, more: its darks are lighter.</source>
   <translation>Gestrichenes Papier gibt wenig Licht von seiner Oberfläche zurück; saugendes, wie die meisten Papiere für Handdruck, mehr: seine Tiefen sind heller.</translation>
  </message>
  <message>
   <source>Spectrum, K and S</source>
   <translation>Spektrum, K und S</translation>
  </message>
  <message>
   <source>Print it flat first, then graded</source>
   <translation>Erst flach drucken, dann verlaufend</translation>
  </message>
  <message>
   <source>Trapping from these densities</source>
   <translation>Annahme aus diesen Dichten</translation>
  </message>
  <message>
   <source>{nm} nm</source>
   <translation>{nm} nm</translation>
  </message>
  <message>
   <source>Spectrum on the paper, K dashed, S dotted</source>
   <translation>Spektrum auf dem Papier, K gestrichelt, S gepunktet</translation>
  </message>
  <message>
   <source>The paper</source>
   <translation>Das Papier</translation>
  </message>
  <message>
   <source>Density, first ink</source>
   <translation>Dichte, erste Farbe</translation>
  </message>
  <message>
   <source>second ink</source>
   <translation>zweite Farbe</translation>
  </message>
  <message>
   <source>both</source>
   <translation>beide</translation>
  </message>
  <message>
   <source>Read through the second ink's own filter.</source>
   <translation>Durch den Filter der zweiten Farbe gemessen.</translation>
  </message>
  <message>
   <source>One end</source>
   <translation>Ein Ende</translation>
  </message>
  <message>
   <source>Two ends</source>
   <translation>Zwei Enden</translation>
  </message>
  <message>
   <source>Along the edge</source>
   <translation>Am Rand entlang</translation>
  </message>
  <message>
   <source>Days</source>
   <translation>Tage</translation>
  </message>
  <message>
   <source>Dark blue: printing. Black: cutting. Grey: damping. Pale: sheets drying. Lines at 6, 12, 18 h.</source>
   <translation>Dunkelblau: drucken. Schwarz: schneiden. Grau: feuchten. Blass: Bogen trocknen. Linien bei 6, 12, 18 h.</translation>
  </message>
  <message>
   <source>Begin on</source>
   <translation>Beginn am</translation>
  </message>
  <message>
   <source>The first day of printing.</source>
   <translation>Der erste Drucktag.</translation>
  </message>
  <message>
   <source>A day lost</source>
   <translation>Ein verlorener Tag</translation>
  </message>
  <message>
   <source>A day on which nothing can be printed.</source>
   <translation>Ein Tag, an dem nichts gedruckt werden kann.</translation>
  </message>
  <message>
   <source>Read the air (simulated gauge)</source>
   <translation>Luft ablesen (nachgestelltes Gerät)</translation>
  </message>
  <message>
   <source>Write the days as iCalendar…</source>
   <translation>Tage als iCalendar schreiben…</translation>
  </message>
  <message>
   <source>Rollers or brushes</source>
   <translation>Walzen oder Pinsel</translation>
  </message>
  <message>
   <source>So many are at hand: fewer mean more wash-ups.</source>
   <translation>So viele sind da: weniger bedeuten mehr Waschgänge.</translation>
  </message>
  <message>
   <source>{day:%a %d %b}</source>
   <translation>{day:%a %d. %b}</translation>
  </message>
  <message>
   <source>Lose that day, or have it back</source>
   <translation>Den Tag verlieren oder zurückbekommen</translation>
  </message>
  <message>
   <source>Take temperature and humidity from a gauge.</source>
   <translation>Temperatur und Feuchte von einem Messgerät nehmen.</translation>
  </message>
  <message>
   <source>For your own calendar.</source>
   <translation>Für den eigenen Kalender.</translation>
  </message>
  <message>
   <source>Working days</source>
   <translation>Arbeitstage</translation>
  </message>
  <message>
   <source>Lost: {lost}.</source>
   <translation>Verloren: {lost}.</translation>
  </message>
  <message>
   <source>Which roller takes which ink</source>
   <translation>Welche Walze welche Farbe nimmt</translation>
  </message>
  <message>
   <source>Tack of what goes on wet</source>
   <translation>Zügigkeit dessen, was nass aufgeht</translation>
  </message>
  <message>
   <source>Nothing goes on wet ink that is not looser than it.</source>
   <translation>Nichts kommt auf nasse Farbe, das nicht weniger zügig ist.</translation>
  </message>
  <message>
   <source>The days after it move.</source>
   <translation>Die Tage danach rücken nach.</translation>
  </message>
  <message>
   <source>Whether that day is worked on.</source>
   <translation>Ob an diesem Tag gearbeitet wird.</translation>
  </message>
  <message>
   <source>The days are in {path}.</source>
   <translation>Die Tage liegen in {path}.</translation>
  </message>
  <message>
   <source>looking for orders</source>
   <translation>Folgen werden gesucht</translation>
  </message>
  <message>
   <source>planning the days</source>
   <translation>Tage werden geplant</translation>
  </message>
  <message>
   <source>Choose a rung of the ladder first.</source>
   <translation>Zuerst eine Sprosse der Leiter wählen.</translation>
  </message>
  <message>
   <source>Click a rung to see the sheet after that pull; drag a rung to print it earlier or later.</source>
   <translation>Eine Sprosse anklicken, um den Bogen nach diesem Druckgang zu sehen; eine Sprosse ziehen, um früher oder später zu drucken.</translation>
  </message>
  <message>
   <source>in that order</source>
   <translation>in dieser Folge</translation>
  </message>
  <message>
   <source>Mo</source>
   <translation>Mo</translation>
  </message>
  <message>
   <source>Tu</source>
   <translation>Di</translation>
  </message>
  <message>
   <source>We</source>
   <translation>Mi</translation>
  </message>
  <message>
   <source>Th</source>
   <translation>Do</translation>
  </message>
  <message>
   <source>Fr</source>
   <translation>Fr</translation>
  </message>
  <message>
   <source>Sa</source>
   <translation>Sa</translation>
  </message>
  <message>
   <source>Su</source>
   <translation>So</translation>
  </message>
  <message>
   <source>as it is</source>
   <translation>bleibt</translation>
  </message>
  <message>
   <source>On the ladder: ΔE {mean_difference}, worst {worst}, {washes}.</source>
   <translation>Auf der Leiter: ΔE {mean_difference}, größtes {worst}, {washes}.</translation>
  </message>
  <message>
   <source>{planned_sheets} sheets in {days}, dry on {end:%a %d %b %H:%M}. What limits it: {limit}. {help}</source>
   <translation>{planned_sheets} Bogen, {days}, trocken am {end:%a %d. %b %H:%M}. Was begrenzt: {limit}. {help}</translation>
  </message>
  <message>
   <source>{washes} before or between the pulls</source>
   <translation>{washes} vor oder zwischen den Druckgängen</translation>
  </message>
  <message>
   <source>{outcomes} different sheets can come out; {exact}.</source>
   <translation>{outcomes} verschiedene Blätter sind möglich; {exact}.</translation>
  </message>
  <message>
   <source> Wet on wet, and every sheet a little different.</source>
   <translation> Nass in nass, und jeder Bogen etwas anders.</translation>
  </message>
  <message>
   <source> Only the beginning is listed here; the calendar file has all of it.</source>
   <translation> Hier steht nur der Anfang; die Kalenderdatei hat alles.</translation>
  </message>
  <message>
   <source>, {washes} with one roller.</source>
   <translation>, {washes} mit einer Walze.</translation>
  </message>
  <message>
   <source> One pull takes {needed} rollers or brushes at once.</source>
   <translation> Ein Druckgang braucht {needed} Walzen oder Pinsel auf einmal.</translation>
  </message>
  <message>
   <source>wash-up</source>
   <translation>Waschgang</translation>
  </message>
  <message>
   <source>wash-ups</source>
   <translation>Waschgänge</translation>
  </message>
  <message>
   <source>{names} at {place}</source>
   <translation>{names} auf Platz {place}</translation>
  </message>
  <message>
   <source>none comes nearer in the mean than the first here</source>
   <translation>im Mittel kommt keines näher als das erste hier</translation>
  </message>
  <message>
   <source>too many to try all: one may come nearer by a mean ΔE of {gap} at most</source>
   <translation>zu viele, um alle zu versuchen: eines kann im Mittel um höchstens ΔE {gap} näher kommen</translation>
  </message>
  <message>
   <source>Too many</source>
   <translation>Zu viele</translation>
  </message>
  <message>
   <source>Pinned: {pinned}.</source>
   <translation>Festgehalten: {pinned}.</translation>
  </message>
  <message>
   <source>ΔE {mean_de00}   worst {worst_de00}</source>
   <translation>ΔE {mean_de00}   größtes {worst_de00}</translation>
  </message>
  <message>
   <source>{washes}, {days} days, hides {hides} %</source>
   <translation>{washes}, {days} Tage, verbirgt {hides} %</translation>
  </message>
  <message>
   <source>roller {roller}, {cleaning}</source>
   <translation>Walze {roller}, {cleaning}</translation>
  </message>
  <message>
   <source>full wash-up</source>
   <translation>ganzer Waschgang</translation>
  </message>
  <message>
   <source>full wash-ups</source>
   <translation>ganze Waschgänge</translation>
  </message>
  <message>
   <source>{start:%a %d %b} {what}</source>
   <translation>{start:%a %d. %b} {what}</translation>
  </message>
  <message>
   <source>Orders</source>
   <translation>Folgen</translation>
  </message>
  <message>
   <source>Cleaning</source>
   <translation>Reinigung</translation>
  </message>
  <message>
   <source>Which order?</source>
   <translation>Welche Folge?</translation>
  </message>
  <message>
   <source>Drag a rung on the ladder to try another; sheet and figures answer at once.</source>
   <translation>Eine Sprosse auf der Leiter ziehen, um eine andere zu versuchen; Bogen und Zahlen antworten sofort.</translation>
  </message>
  <message>
   <source>Usual orders</source>
   <translation>Übliche Folgen</translation>
  </message>
  <message>
   <source>Keep to</source>
   <translation>Einhalten</translation>
  </message>
  <message>
   <source>A school whose order is kept; free takes any.</source>
   <translation>Eine Schule, deren Folge eingehalten wird; „Keine Regel“ lässt jede zu.</translation>
  </message>
  <message>
   <source>Look for the best orders</source>
   <translation>Die besten Folgen suchen</translation>
  </message>
  <message>
   <source>Try all orders: colours, wash-ups, days.</source>
   <translation>Alle Folgen probieren: Farben, Waschgänge, Tage.</translation>
  </message>
  <message>
   <source>Best orders</source>
   <translation>Beste Folgen</translation>
  </message>
  <message>
   <source>Print it earlier</source>
   <translation>Früher drucken</translation>
  </message>
  <message>
   <source>Print it later</source>
   <translation>Später drucken</translation>
  </message>
  <message>
   <source>Pin it to its place</source>
   <translation>An seinem Platz festhalten</translation>
  </message>
  <message>
   <source>Choose a rung to see why it stands there</source>
   <translation>Eine Sprosse wählen, um zu sehen, warum sie dort steht</translation>
  </message>
  <message>
   <source>Let it go again</source>
   <translation>Wieder loslassen</translation>
  </message>
  <message>
   <source>One place earlier. Drag it on the ladder as well.</source>
   <translation>Einen Platz früher. Auch auf der Leiter ziehen.</translation>
  </message>
  <message>
   <source>One place later. Drag it on the ladder as well.</source>
   <translation>Einen Platz später. Auch auf der Leiter ziehen.</translation>
  </message>
  <message>
   <source>Orders that are looked for leave it there.</source>
   <translation>Gesuchte Folgen lassen ihn dort.</translation>
  </message>
  <message>
   <source>The usual ways</source>
   <translation>Die üblichen Arten</translation>
  </message>
  <message>
   <source>The best of all</source>
   <translation>Die beste von allen</translation>
  </message>
  <message>
   <source>ΔE {mean_difference}   worst {worst}</source>
   <translation>ΔE {mean_difference}   größtes {worst}</translation>
  </message>
  <message>
   <source>Why {name} is {ordinal}</source>
   <translation>Warum {name} an {ordinal} Stelle steht</translation>
  </message>
  <message>
   <source>first</source>
   <translation>erster</translation>
  </message>
  <message>
   <source>second</source>
   <translation>zweiter</translation>
  </message>
  <message>
   <source>third</source>
   <translation>dritter</translation>
  </message>
  <message>
   <source>fourth</source>
   <translation>vierter</translation>
  </message>
  <message>
   <source>fifth</source>
   <translation>fünfter</translation>
  </message>
  <message>
   <source>sixth</source>
   <translation>sechster</translation>
  </message>
  <message>
   <source>seventh</source>
   <translation>siebter</translation>
  </message>
  <message>
   <source>number {place}</source>
   <translation>{place}.</translation>
  </message>
  <message>
   <source>Your order</source>
   <translation>Die eigene Folge</translation>
  </message>
  <message>
   <source>as on the ladder</source>
   <translation>wie auf der Leiter</translation>
  </message>
  <message>
   <source> Before it {names} is cut away for good: have every sheet printed through the pull before, and one proof kept.</source>
   <translation> Davor wird {names} endgültig weggeschnitten: jeden Bogen durch den Druckgang davor drucken und einen Probedruck behalten.</translation>
  </message>
  <message>
   <source>knocks the key back</source>
   <translation>nimmt die Linien zurück</translation>
  </message>
  <message>
   <source>Back in register</source>
   <translation>Wieder im Passer</translation>
  </message>
  <message>
   <source>Image on the sheet</source>
   <translation>Bild auf dem Bogen</translation>
  </message>
  <message>
   <source>What was read at this corner, + to the right and down.</source>
   <translation>Was an dieser Ecke abgelesen wurde, + nach rechts und nach unten.</translation>
  </message>
  <message>
   <source>How far the block is out of its place, as seen on the print.</source>
   <translation>Wie weit der Stock von seinem Platz liegt, auf dem Druck gesehen.</translation>
  </message>
  <message>
   <source>From crisp to loose</source>
   <translation>Von scharf bis locker</translation>
  </message>
  <message>
   <source>How far sheets may lie apart: crisp wants work, loose shows movement.</source>
   <translation>Wie weit Bogen auseinanderliegen dürfen: scharf macht Mühe, locker zeigt Bewegung.</translation>
  </message>
  <message>
   <source>Back to the usual figures</source>
   <translation>Zurück zu den üblichen Zahlen</translation>
  </message>
  <message>
   <source>Print 100 whole sheets</source>
   <translation>100 ganze Bogen drucken</translation>
  </message>
  <message>
   <source>See one at full size</source>
   <translation>Einen in voller Größe sehen</translation>
  </message>
  <message>
   <source>Crisp – {tolerance_mm} may be out – loose</source>
   <translation>Scharf – {tolerance_mm} Abweichung erlaubt – locker</translation>
  </message>
  <message>
   <source>Trap {trap_mm}</source>
   <translation>Überfüllung {trap_mm}</translation>
  </message>
  <message>
   <source>The sheet from above, flat and sharp, in even light: a telephone will do.</source>
   <translation>Der Bogen von oben, flach und scharf, in gleichmäßigem Licht: ein Telefon genügt.</translation>
  </message>
  <message>
   <source>Pulls on the proof</source>
   <translation>Druckgänge auf dem Probedruck</translation>
  </message>
  <message>
   <source>This block is not cut yet</source>
   <translation>Dieser Stock ist noch nicht geschnitten</translation>
  </message>
  <message>
   <source>It can still be moved in its transfer.</source>
   <translation>Er lässt sich in der Übertragung noch verschieben.</translation>
  </message>
  <message>
   <source>Keep this reading for every block</source>
   <translation>Diese Messung für jeden Stock behalten</translation>
  </message>
  <message>
   <source>a proof</source>
   <translation>ein Probedruck</translation>
  </message>
  <message>
   <source>Sheet of the edition</source>
   <translation>Bogen der Auflage</translation>
  </message>
  <message>
   <source>Which sheet was read.</source>
   <translation>Welcher Bogen abgelesen wurde.</translation>
  </message>
  <message>
   <source>Keep what was read</source>
   <translation>Das Abgelesene behalten</translation>
  </message>
  <message>
   <source>Say so</source>
   <translation>Antworten</translation>
  </message>
  <message>
   <source>Lay a hundred sheets in full, one by one: slower, and exact.</source>
   <translation>Hundert Bogen ganz legen, einen nach dem anderen: langsamer und genau.</translation>
  </message>
  <message>
   <source>See nine plausible sheets</source>
   <translation>Neun glaubhafte Bogen sehen</translation>
  </message>
  <message>
   <source>Back to the print</source>
   <translation>Zurück zum Druck</translation>
  </message>
  <message>
   <source>One sheet as it may come out; press again for the next of twelve.</source>
   <translation>Ein Bogen, wie er herauskommen kann; noch einmal für den nächsten von zwölf.</translation>
  </message>
  <message>
   <source>Take this trap: gaps up to that width close.</source>
   <translation>Diese Überfüllung nehmen: Blitzer bis zu dieser Breite schließen sich.</translation>
  </message>
  <message>
   <source>Parts of the error, 95 of 100 sheets</source>
   <translation>Fehleranteile, 95 von 100 Bogen</translation>
  </message>
  <message>
   <source>See nine others</source>
   <translation>Neun andere sehen</translation>
  </message>
  <message>
   <source>See the next one ({alone} of {dozen} in sight)</source>
   <translation>Den nächsten sehen ({alone} von {dozen} zu sehen)</translation>
  </message>
  <message>
   <source>Working out what flashes…</source>
   <translation>Was aufblitzt, wird ausgerechnet…</translation>
  </message>
  <message>
   <source>Read a photograph or a scan…</source>
   <translation>Foto oder Scan lesen…</translation>
  </message>
  <message>
   <source>Scan the sheet as tried here</source>
   <translation>Bogen scannen, wie hier ausprobiert</translation>
  </message>
  <message>
   <source>Put it with the readings of this print.</source>
   <translation>Zu den Messungen dieses Drucks legen.</translation>
  </message>
  <message>
   <source>What was read before</source>
   <translation>Was früher abgelesen wurde</translation>
  </message>
  <message>
   <source>Read by eye</source>
   <translation>Mit dem Auge ablesen</translation>
  </message>
  <message>
   <source>A proof with one fault</source>
   <translation>Ein Probedruck mit einem Fehler</translation>
  </message>
  <message>
   <source>A proof with two faults</source>
   <translation>Ein Probedruck mit zwei Fehlern</translation>
  </message>
  <message>
   <source>The block that you say is out.</source>
   <translation>Der Stock, der verschoben sein soll.</translation>
  </message>
  <message>
   <source>Fault</source>
   <translation>Fehler</translation>
  </message>
  <message>
   <source>What you say is wrong with it.</source>
   <translation>Was damit nicht stimmen soll.</translation>
  </message>
  <message>
   <source>To the right</source>
   <translation>Nach rechts</translation>
  </message>
  <message>
   <source>Down</source>
   <translation>Nach unten</translation>
  </message>
  <message>
   <source>See whether you are right.</source>
   <translation>Sehen, ob es stimmt.</translation>
  </message>
  <message>
   <source>Nine sheets as they may come out, beside each other.</source>
   <translation>Neun Bogen, wie sie herauskommen können, nebeneinander.</translation>
  </message>
  <message>
   <source>Measure how far every block is out on the sheet.</source>
   <translation>Messen, wie weit jeder Stock auf dem Bogen daneben liegt.</translation>
  </message>
  <message>
   <source>Practise with the print as it is on the screen.</source>
   <translation>Mit dem Druck üben, wie er auf dem Bildschirm ist.</translation>
  </message>
  <message>
   <source>{way} strokes</source>
   <translation>{way}, Striche</translation>
  </message>
  <message>
   <source>not read</source>
   <translation>nicht abgelesen</translation>
  </message>
  <message>
   <source>A made-up proof: find which block is out.</source>
   <translation>Ein erfundener Probedruck: herausfinden, welcher Stock verschoben ist.</translation>
  </message>
  <message>
   <source>A made-up proof: find which two blocks are out.</source>
   <translation>Ein erfundener Probedruck: herausfinden, welche zwei Stöcke verschoben sind.</translation>
  </message>
  <message>
   <source>Of {count} plausible sheets ({how}): {said}.</source>
   <translation>Von {count} glaubhaften Bogen ({how}): {said}.</translation>
  </message>
  <message>
   <source>{width_mm:g} mm, on one sheet in 20: {bare} mm² bare</source>
   <translation>{width_mm:g} mm, auf einem von 20 Bogen: {bare} mm² blank</translation>
  </message>
  <message>
   <source>Crisp: every edge meets; asks for pins or sharp notches and an even, dry sheet.</source>
   <translation>Scharf: jede Kante trifft; verlangt Stifte oder scharfe Kerben und einen ebenen, trockenen Bogen.</translation>
  </message>
  <message>
   <source>Close: as careful hand printing comes out.</source>
   <translation>Eng: wie sorgfältiger Handdruck herauskommt.</translation>
  </message>
  <message>
   <source>Easy: small gaps and overlaps belong to the print.</source>
   <translation>Leicht: kleine Blitzer und Überlappungen gehören zum Druck.</translation>
  </message>
  <message>
   <source>Loose: the layers may wander, and that is the look.</source>
   <translation>Locker: die Schichten dürfen wandern, und so soll es aussehen.</translation>
  </message>
  <message>
   <source>On 95 of 100 sheets two pulls lie within {least}.</source>
   <translation>Auf 95 von 100 Bogen liegen zwei Druckgänge innerhalb {least}.</translation>
  </message>
  <message>
   <source>Ink on wet ink takes in patches: the plausible sheets show it.</source>
   <translation>Auf nasser Farbe wird Farbe fleckig angenommen: die glaubhaften Bogen zeigen es.</translation>
  </message>
  <message>
   <source>whole sheets</source>
   <translation>ganze Bogen</translation>
  </message>
  <message>
   <source>estimated along borders</source>
   <translation>entlang der Grenzen geschätzt</translation>
  </message>
  <message>
   <source>Nothing flashes on any of {count} plausible sheets ({how}).</source>
   <translation>Auf keinem von {count} glaubhaften Bogen blitzt etwas auf ({how}).</translation>
  </message>
  <message>
   <source>On each vernier count strokes from the long one to the pair that meets; to the right or down is plus. Each stroke is {stroke_mm}.</source>
   <translation>An jedem Nonius die Striche vom langen bis zu dem Paar zählen, das sich trifft; nach rechts oder unten ist plus. Jeder Strich ist {stroke_mm}.</translation>
  </message>
  <message>
   <source>How far this block's print lies from where it should, at two corners or more.</source>
   <translation>Wie weit der Druck dieses Stocks von seinem Platz liegt, an zwei Ecken oder mehr.</translation>
  </message>
  <message>
   <source>sheet {sheet}</source>
   <translation>Bogen {sheet}</translation>
  </message>
  <message>
   <source>{shift}; worst {worst}</source>
   <translation>{shift}; größte {worst}</translation>
  </message>
  <message>
   <source>A proof with a fault, to be read. Ask for one.</source>
   <translation>Ein Probedruck mit einem Fehler, zum Lesen. Einen anfordern.</translation>
  </message>
  <message>
   <source>Proof {number}: {wrong}. Which block, what, and how far?</source>
   <translation>Probedruck {number}: {wrong}. Welcher Stock, was und wie weit?</translation>
  </message>
  <message>
   <source>{points} of {answered} points</source>
   <translation>{points} von {answered} Punkten</translation>
  </message>
  <message>
   <source>bare paper on {bare_sheets:.0f} % of them, {area} mm² a sheet</source>
   <translation>blankes Papier auf {bare_sheets:.0f} % davon, {area} mm² je Bogen</translation>
  </message>
  <message>
   <source>dark seams on {seam_sheets:.0f} %, {area} mm² a sheet</source>
   <translation>dunkle Nähte auf {seam_sheets:.0f} %, {area} mm² je Bogen</translation>
  </message>
  <message>
   <source>{worst_corner_mm} out</source>
   <translation>{worst_corner_mm} verschoben</translation>
  </message>
  <message>
   <source>From {name}:</source>
   <translation>Quelle: {name}</translation>
  </message>
  <message>
   <source>one thing is wrong</source>
   <translation>etwas stimmt nicht</translation>
  </message>
  <message>
   <source>{many} things are wrong</source>
   <translation>{many} Dinge stimmen nicht</translation>
  </message>
  <message>
   <source>cannot be told</source>
   <translation>nicht zu erkennen</translation>
  </message>
  <message>
   <source>Last read on {day}:</source>
   <translation>Zuletzt abgelesen am {day}:</translation>
  </message>
  <message>
   <source>the sheet's edges</source>
   <translation>die Ränder des Bogens</translation>
  </message>
  <message>
   <source>Read a proof</source>
   <translation>Einen Probedruck ablesen</translation>
  </message>
  <message>
   <source>a simulated scan</source>
   <translation>ein nachgestellter Scan</translation>
  </message>
  <message>
   <source>{name}, measured against {by}</source>
   <translation>{name}, gemessen gegen {by}</translation>
  </message>
  <message>
   <source>Keep a scan</source>
   <translation>Einen Scan behalten</translation>
  </message>
  <message>
   <source>Show a reading</source>
   <translation>Eine Messung zeigen</translation>
  </message>
  <message>
   <source>reading the scan</source>
   <translation>Scan wird gelesen</translation>
  </message>
  <message>
   <source>making a proof to read</source>
   <translation>ein Probedruck zum Lesen wird gemacht</translation>
  </message>
  <message>
   <source>This block has not been read yet.</source>
   <translation>Dieser Stock wurde noch nicht abgelesen.</translation>
  </message>
  <message>
   <source>Drag the ring on the sheet to put the chosen block out of register.</source>
   <translation>Den Ring auf dem Bogen ziehen, um den gewählten Stock zu verschieben.</translation>
  </message>
  <message>
   <source>will not do</source>
   <translation>geht nicht</translation>
  </message>
  <message>
   <source>with care</source>
   <translation>mit Vorsicht</translation>
  </message>
  <message>
   <source>suits</source>
   <translation>passt</translation>
  </message>
  <message>
   <source>A block {wrong_mm} too small with its drawing in the middle prints {worst_mm} out; drawn from its stopped corner it prints in place. One side {wrong_mm} out of square puts the far corner {worst_mm_2} out if the drawing follows that side.</source>
   <translation>Ein {wrong_mm} zu kleiner Stock mit der Zeichnung in der Mitte druckt {worst_mm} verschoben; von der angelegten Ecke aus gezeichnet, druckt er am Platz. Eine {wrong_mm} schiefe Seite verschiebt die ferne Ecke um {worst_mm_2}, wenn die Zeichnung dieser Seite folgt.</translation>
  </message>
  <message>
   <source>in register</source>
   <translation>im Passer</translation>
  </message>
  <message>
   <source>△ Bare paper shows, largest spots {bare} mm² in all.</source>
   <translation>△ Blankes Papier zeigt sich, größte Stellen zusammen {bare} mm².</translation>
  </message>
  <message>
   <source>Every block</source>
   <translation>Jeder Stock</translation>
  </message>
  <message>
   <source> Better here: {lower}. {reason}</source>
   <translation> Hier besser: {lower}. {reason}</translation>
  </message>
  <message>
   <source>Corner notch, block face up</source>
   <translation>Eckkerbe, Stock mit der Druckfläche nach oben</translation>
  </message>
  <message>
   <source>lower {hand}</source>
   <translation>unten {hand}</translation>
  </message>
  <message>
   <source>Wood beyond, near edge</source>
   <translation>Holz darüber hinaus, vordere Kante</translation>
  </message>
  <message>
   <source>Wood beyond, corner side</source>
   <translation>Holz darüber hinaus, Eckseite</translation>
  </message>
  <message>
   <source>Notch floor to image</source>
   <translation>Kerbenboden bis Bild</translation>
  </message>
  <message>
   <source>Cut notches with the block clamped or against a bench hook, away from the body, the other hand behind the edge. A sharp chisel is safer than a blunt one. Trained people and local rules come first.</source>
   <translation>Kerben mit festgespanntem Stock oder am Bankhaken schneiden, vom Körper weg, die andere Hand hinter der Schneide. Ein scharfes Eisen ist sicherer als ein stumpfes. Ausgebildete Leute und örtliche Vorschriften gehen vor.</translation>
  </message>
  <message>
   <source>System</source>
   <translation>System</translation>
  </message>
  <message>
   <source>Measures</source>
   <translation>Maße</translation>
  </message>
  <message>
   <source>Try out</source>
   <translation>Probieren</translation>
  </message>
  <message>
   <source>Proofs</source>
   <translation>Probedrucke</translation>
  </message>
  <message>
   <source>How far the block is tried out of place, as seen on the print.</source>
   <translation>Wie weit der Stock zur Probe verschoben wird, auf dem Druck gesehen.</translation>
  </message>
  <message>
   <source>Of the block you have; 0 works the size out.</source>
   <translation>Des vorhandenen Stocks; 0 rechnet die Größe aus.</translation>
  </message>
  <message>
   <source>How does every sheet meet every block?</source>
   <translation>Wie trifft jeder Bogen auf jeden Stock?</translation>
  </message>
  <message>
   <source>Systems of registration</source>
   <translation>Passersysteme</translation>
  </message>
  <message>
   <source>Steps</source>
   <translation>Schritte</translation>
  </message>
  <message>
   <source>What to do, one after the other.</source>
   <translation>Was zu tun ist, eins nach dem anderen.</translation>
  </message>
  <message>
   <source>Write the packet…</source>
   <translation>Mappe schreiben…</translation>
  </message>
  <message>
   <source>Impressions</source>
   <translation>Drucke</translation>
  </message>
  <message>
   <source>Turned clockwise</source>
   <translation>Im Uhrzeigersinn gedreht</translation>
  </message>
  <message>
   <source>How far the block is tried turned, about the image's middle.</source>
   <translation>Wie weit der Stock zur Probe gedreht wird, um die Bildmitte.</translation>
  </message>
  <message>
   <source>Put every block back in register</source>
   <translation>Jeden Stock wieder in den Passer bringen</translation>
  </message>
  <message>
   <source>What it cannot do</source>
   <translation>Was es nicht kann</translation>
  </message>
  <message>
   <source>Where this system fails.</source>
   <translation>Wo dieses System versagt.</translation>
  </message>
  <message>
   <source>Everything to print by, into a folder.</source>
   <translation>Alles zum Drucken, in einen Ordner.</translation>
  </message>
  <message>
   <source>Sheet and notches</source>
   <translation>Bogen und Kerben</translation>
  </message>
  <message>
   <source>Try a block out of register</source>
   <translation>Einen Stock verschoben ausprobieren</translation>
  </message>
  <message>
   <source>Margin left of the image</source>
   <translation>Rand links vom Bild</translation>
  </message>
  <message>
   <source>Paper left of the image.</source>
   <translation>Papier links vom Bild.</translation>
  </message>
  <message>
   <source>Margin above it</source>
   <translation>Rand darüber</translation>
  </message>
  <message>
   <source>Paper above the image.</source>
   <translation>Papier über dem Bild.</translation>
  </message>
  <message>
   <source>Block at hand, width</source>
   <translation>Vorhandener Stock, Breite</translation>
  </message>
  <message>
   <source>Block at hand, height</source>
   <translation>Vorhandener Stock, Höhe</translation>
  </message>
  <message>
   <source>how it was put right</source>
   <translation>wie es ausgebessert wurde</translation>
  </message>
  <message>
   <source>Give it up: it goes first at every layer</source>
   <translation>Aufgeben: in jedem Druckgang kommt er zuerst</translation>
  </message>
  <message>
   <source>How it was put right</source>
   <translation>Wie es ausgebessert wurde</translation>
  </message>
  <message>
   <source>It goes on with the others</source>
   <translation>Er geht mit den anderen weiter</translation>
  </message>
  <message>
   <source>put right by hand</source>
   <translation>von Hand ausgebessert</translation>
  </message>
  <message>
   <source>No longer among the best</source>
   <translation>Nicht mehr unter den besten</translation>
  </message>
  <message>
   <source>Count it among the best</source>
   <translation>Unter die besten zählen</translation>
  </message>
  <message>
   <source>Each picture is a sheet as it looks now; a spoiled one is crossed through. Click one.</source>
   <translation>Jedes Bild ist ein Bogen, wie er jetzt aussieht; ein verdorbener ist durchgestrichen. Einen anklicken.</translation>
  </message>
  <message>
   <source>{how} {beyond} more have no room here.</source>
   <translation>{how} Für {beyond} weitere ist hier kein Platz.</translation>
  </message>
  <message>
   <source>Sheet {sheet}{number}</source>
   <translation>Bogen {sheet}{number}</translation>
  </message>
  <message>
   <source>There is nothing to print yet.</source>
   <translation>Es gibt noch nichts zu drucken.</translation>
  </message>
  <message>
   <source>Set the edition: the sheets to start with follow.</source>
   <translation>Die Auflage einstellen: die Bogen zu Beginn folgen daraus.</translation>
  </message>
  <message>
   <source>{good:.1f} % of pulls are good by the log</source>
   <translation>{good:.1f} % der Drucke sind laut Protokoll gut</translation>
  </message>
  <message>
   <source>{given} sheets can be numbered{short}.</source>
   <translation>{given} Bogen können nummeriert werden{short}.</translation>
  </message>
  <message>
   <source>The log says {good:.1f} % of pulls are good</source>
   <translation>Laut Protokoll sind {good:.1f} % der Drucke gut</translation>
  </message>
  <message>
   <source>Cut {total} sheets: {start_sheets} for the edition, the rest for proofs and first pulls.</source>
   <translation>{total} Bogen zuschneiden: {start_sheets} für die Auflage, der Rest für Probe- und erste Drucke.</translation>
  </message>
  <message>
   <source>On the whole they are ΔE {apart_de00} apart. {drift}</source>
   <translation>Im Ganzen liegen sie ΔE {apart_de00} auseinander. {drift}</translation>
  </message>
  <message>
   <source>Nothing has been printed yet: the bench writes it down.</source>
   <translation>Noch ist nichts gedruckt: die Werkbank schreibt es auf.</translation>
  </message>
  <message>
   <source>{layers} of {layers_2} layers</source>
   <translation>{layers} von {layers_2} Druckgängen</translation>
  </message>
  <message>
   <source>; {short} missing to the edition</source>
   <translation>; {short} fehlen zur Auflage</translation>
  </message>
  <message>
   <source>; {ink} g of ink weighed</source>
   <translation>; {ink} g Farbe gewogen</translation>
  </message>
  <message>
   <source> Below, the {rows} that were pulled last.</source>
   <translation> Darunter die {rows}, die zuletzt gezogen wurden.</translation>
  </message>
  <message>
   <source>, {pace} min a pull.</source>
   <translation>, {pace} min je Druck.</translation>
  </message>
  <message>
   <source>In all {cost:.2f}</source>
   <translation>Zusammen {cost:.2f}</translation>
  </message>
  <message>
   <source>, {minutes_a_pull} min a pull</source>
   <translation>, {minutes_a_pull} min je Druck</translation>
  </message>
  <message>
   <source>spoiled: {reason}</source>
   <translation>verdorben: {reason}</translation>
  </message>
  <message>
   <source>best; </source>
   <translation>bester; </translation>
  </message>
  <message>
   <source>Good sheets wanted</source>
   <translation>Gute Bogen gewünscht</translation>
  </message>
  <message>
   <source>Come through all layers</source>
   <translation>Kommen durch alle Druckgänge</translation>
  </message>
  <message>
   <source>{p_sheet:.0f} %</source>
   <translation>{p_sheet:.0f} %</translation>
  </message>
  <message>
   <source>For proofing</source>
   <translation>Für Probedrucke</translation>
  </message>
  <message>
   <source>{proofing} sheets</source>
   <translation>{proofing} Bogen</translation>
  </message>
  <message>
   <source>Sacrificed, one a layer</source>
   <translation>Geopfert, einer je Druckgang</translation>
  </message>
  <message>
   <source>Bench, ink and days go by</source>
   <translation>Geplant wird mit</translation>
  </message>
  <message>
   <source>{planned_sheets} sheets</source>
   <translation>{planned_sheets} Bogen</translation>
  </message>
  <message>
   <source>{good} good, {spoiled} spoiled{reasons}{pace}</source>
   <translation>{good} gut, {spoiled} verdorben{reasons}{pace}</translation>
  </message>
  <message>
   <source>Sheet {sheet}</source>
   <translation>Bogen {sheet}</translation>
  </message>
  <message>
   <source>, {cost:.2f}</source>
   <translation>, {cost:.2f}</translation>
  </message>
  <message>
   <source>To buy</source>
   <translation>Zu kaufen</translation>
  </message>
  <message>
   <source>Board</source>
   <translation>Tafel</translation>
  </message>
  <message>
   <source>Record</source>
   <translation>Protokoll</translation>
  </message>
  <message>
   <source>Chance that so many sheets are enough</source>
   <translation>Aussicht, dass so viele Bogen genügen</translation>
  </message>
  <message>
   <source>{start} sheets</source>
   <translation>{start} Bogen</translation>
  </message>
  <message>
   <source>How many sheets?</source>
   <translation>Wie viele Bogen?</translation>
  </message>
  <message>
   <source>Begin another edition</source>
   <translation>Eine weitere Auflage beginnen</translation>
  </message>
  <message>
   <source>Click a sheet to count it among the best: the best are numbered first.</source>
   <translation>Einen Bogen anklicken, um ihn zu den besten zu zählen: die besten werden zuerst nummeriert.</translation>
  </message>
  <message>
   <source>Keep a picture of a proof…</source>
   <translation>Ein Bild eines Probedrucks behalten…</translation>
  </message>
  <message>
   <source>A picture that was kept.</source>
   <translation>Ein Bild, das behalten wurde.</translation>
  </message>
  <message>
   <source>Beside</source>
   <translation>Daneben</translation>
  </message>
  <message>
   <source>The plan, or another picture, to lay it together with.</source>
   <translation>Der Plan oder ein anderes Bild, mit dem es verglichen wird.</translation>
  </message>
  <message>
   <source>{chance:.0f} %</source>
   <translation>{chance:.0f} %</translation>
  </message>
  <message>
   <source>Take what the log says</source>
   <translation>Nehmen, was das Protokoll sagt</translation>
  </message>
  <message>
   <source>Plan ink and days by this number of sheets.</source>
   <translation>Farbe und Tage mit dieser Bogenzahl planen.</translation>
  </message>
  <message>
   <source>Sheets of the edition</source>
   <translation>Bogen der Auflage</translation>
  </message>
  <message>
   <source>Number the sheets</source>
   <translation>Bogen nummerieren</translation>
  </message>
  <message>
   <source>Write statement and tables…</source>
   <translation>Vermerk und Tabellen schreiben…</translation>
  </message>
  <message>
   <source>Put a scan of a proof with the record.</source>
   <translation>Einen Scan eines Probedrucks zum Protokoll legen.</translation>
  </message>
  <message>
   <source>Flicker</source>
   <translation>Wechselbild</translation>
  </message>
  <message>
   <source>A remark</source>
   <translation>Eine Bemerkung</translation>
  </message>
  <message>
   <source>What is to be remembered of this edition; it goes into its log.</source>
   <translation>Was von dieser Auflage zu merken ist; es kommt in ihr Protokoll.</translation>
  </message>
  <message>
   <source>Ink and days are planned for them</source>
   <translation>Farbe und Tage sind dafür geplant</translation>
  </message>
  <message>
   <source>Plan ink and days for them</source>
   <translation>Farbe und Tage dafür planen</translation>
  </message>
  <message>
   <source>Proofs beside the plan</source>
   <translation>Probedrucke neben dem Plan</translation>
  </message>
  <message>
   <source>Split</source>
   <translation>Geteilt</translation>
  </message>
  <message>
   <source>Difference</source>
   <translation>Unterschied</translation>
  </message>
  <message>
   <source>the plan</source>
   <translation>der Plan</translation>
  </message>
  <message>
   <source>{path} cannot be put aside ({what}).</source>
   <translation>{path} lässt sich nicht beiseitelegen ({what}).</translation>
  </message>
  <message>
   <source>Now, and {title}. {said} Drag the line between them.</source>
   <translation>Jetzt, und {title}. {said} Die Linie dazwischen ziehen.</translation>
  </message>
  <message>
   <source>Draw a line on the picture first, along something whose length you know.</source>
   <translation>Zuerst auf dem Bild eine Linie ziehen, entlang etwas, dessen Länge bekannt ist.</translation>
  </message>
  <message>
   <source>Lay something beside the print first: View, Beside…</source>
   <translation>Zuerst etwas neben den Druck legen: Ansicht, Neben…</translation>
  </message>
  <message>
   <source>looking for what is too fine</source>
   <translation>Suche nach zu Feinem</translation>
  </message>
  <message>
   <source>cutting the blocks</source>
   <translation>Stöcke werden geschnitten</translation>
  </message>
  <message>
   <source>counting the days</source>
   <translation>Tage werden gezählt</translation>
  </message>
  <message>
   <source>A picture may have up to {most} MB.</source>
   <translation>Ein Bild darf bis zu {most} MB haben.</translation>
  </message>
  <message>
   <source>No door can be opened at {host} ({what}): choose another address.</source>
   <translation>Unter {host} lässt sich keine Tür öffnen ({what}): eine andere Adresse wählen.</translation>
  </message>
  <message>
   <source>Another picture is still coming: send it once more.</source>
   <translation>Ein anderes Bild kommt noch an: noch einmal senden.</translation>
  </message>
  <message>
   <source>It has arrived.</source>
   <translation>Es ist angekommen.</translation>
  </message>
  <message>
   <source>The picture does not say how large it is.</source>
   <translation>Das Bild sagt nicht, wie groß es ist.</translation>
  </message>
  <message>
   <source>printing a plausible sheet</source>
   <translation>ein glaubhafter Bogen wird gedruckt</translation>
  </message>
  <message>
   <source>looking where nothing is seen</source>
   <translation>Unsichtbares wird gesucht</translation>
  </message>
  <message>
   <source>looking at the joins</source>
   <translation>Nähte werden angesehen</translation>
  </message>
  <message>
   <source>a first look</source>
   <translation>ein erster Blick</translation>
  </message>
  <message>
   <source>{day:%d %B %Y}, plan {version}</source>
   <translation>{day:%d. %B %Y}, Plan {version}</translation>
  </message>
  <message>
   <source>{title}: templates</source>
   <translation>{title}: Schablonen</translation>
  </message>
  <message>
   <source>writing proofs</source>
   <translation>Probedrucke werden geschrieben</translation>
  </message>
  <message>
   <source>packet written</source>
   <translation>Mappe geschrieben</translation>
  </message>
  <message>
   <source>writing the page of all stages</source>
   <translation>das Blatt aller Stufen wird geschrieben</translation>
  </message>
  <message>
   <source>{title}: bench</source>
   <translation>{title}: Werkbank</translation>
  </message>
  <message>
   <source>own</source>
   <translation>eigene</translation>
  </message>
  <message>
   <source>mix</source>
   <translation>gemischt</translation>
  </message>
  <message>
   <source>process</source>
   <translation>Skalenfarben</translation>
  </message>
  <message>
   <source>shelf</source>
   <translation>Vorrat</translation>
  </message>
  <message>
   <source>studio</source>
   <translation>Studio</translation>
  </message>
  <message>
   <source>templates</source>
   <translation>Schablonen</translation>
  </message>
  <message>
   <source>carving</source>
   <translation>Schneiden</translation>
  </message>
  <message>
   <source>Check the printer's scale</source>
   <translation>Maßstab des Druckers prüfen</translation>
  </message>
  <message>
   <source>Printer's scale</source>
   <translation>Maßstab des Druckers</translation>
  </message>
  <message>
   <source>Measure both bars with a steel ruler, first line to last, and type what they measure.</source>
   <translation>Beide Balken mit einem Stahllineal messen, vom ersten bis zum letzten Strich, und eintippen, was sie messen.</translation>
  </message>
  <message>
   <source>across, 100 mm</source>
   <translation>quer, 100 mm</translation>
  </message>
  <message>
   <source>along, 100 mm</source>
   <translation>längs, 100 mm</translation>
  </message>
  <message>
   <source>This shelf holds nothing but white; open another to mix from.</source>
   <translation>Dieser Vorrat enthält nur Weiß; einen anderen zum Mischen öffnen.</translation>
  </message>
  <message>
   <source>another way</source>
   <translation>ein anderer Weg</translation>
  </message>
  <message>
   <source>looking closely</source>
   <translation>wird genau angesehen</translation>
  </message>
  <message>
   <source>scanning a sheet</source>
   <translation>ein Bogen wird gescannt</translation>
  </message>
  <message>
   <source>White</source>
   <translation>Weiß</translation>
  </message>
  <message>
   <source>Ivory</source>
   <translation>Elfenbein</translation>
  </message>
  <message>
   <source>Cream</source>
   <translation>Creme</translation>
  </message>
  <message>
   <source>Pale grey</source>
   <translation>Blassgrau</translation>
  </message>
  <message>
   <source>Grey</source>
   <translation>Grau</translation>
  </message>
  <message>
   <source>Dark grey</source>
   <translation>Dunkelgrau</translation>
  </message>
  <message>
   <source>Charcoal</source>
   <translation>Anthrazit</translation>
  </message>
  <message>
   <source>Black</source>
   <translation>Schwarz</translation>
  </message>
  <message>
   <source>Warm grey</source>
   <translation>Warmgrau</translation>
  </message>
  <message>
   <source>Blue grey</source>
   <translation>Blaugrau</translation>
  </message>
  <message>
   <source>Pale blue grey</source>
   <translation>Blasses Blaugrau</translation>
  </message>
  <message>
   <source>Straw</source>
   <translation>Stroh</translation>
  </message>
  <message>
   <source>Lemon</source>
   <translation>Zitrone</translation>
  </message>
  <message>
   <source>Yellow</source>
   <translation>Gelb</translation>
  </message>
  <message>
   <source>Golden yellow</source>
   <translation>Goldgelb</translation>
  </message>
  <message>
   <source>Ochre</source>
   <translation>Ocker</translation>
  </message>
  <message>
   <source>Mustard</source>
   <translation>Senf</translation>
  </message>
  <message>
   <source>Sand</source>
   <translation>Sand</translation>
  </message>
  <message>
   <source>Buff</source>
   <translation>Chamois</translation>
  </message>
  <message>
   <source>Amber</source>
   <translation>Bernstein</translation>
  </message>
  <message>
   <source>Orange</source>
   <translation>Orange</translation>
  </message>
  <message>
   <source>Apricot</source>
   <translation>Aprikose</translation>
  </message>
  <message>
   <source>Peach</source>
   <translation>Pfirsich</translation>
  </message>
  <message>
   <source>Salmon</source>
   <translation>Lachs</translation>
  </message>
  <message>
   <source>Coral</source>
   <translation>Koralle</translation>
  </message>
  <message>
   <source>Vermilion</source>
   <translation>Zinnober</translation>
  </message>
  <message>
   <source>Red</source>
   <translation>Rot</translation>
  </message>
  <message>
   <source>Crimson</source>
   <translation>Karmesin</translation>
  </message>
  <message>
   <source>Brick</source>
   <translation>Ziegel</translation>
  </message>
  <message>
   <source>Terracotta</source>
   <translation>Terrakotta</translation>
  </message>
  <message>
   <source>Rust</source>
   <translation>Rost</translation>
  </message>
  <message>
   <source>Tan</source>
   <translation>Lohfarben</translation>
  </message>
  <message>
   <source>Brown</source>
   <translation>Braun</translation>
  </message>
  <message>
   <source>Reddish brown</source>
   <translation>Rotbraun</translation>
  </message>
  <message>
   <source>Dark brown</source>
   <translation>Dunkelbraun</translation>
  </message>
  <message>
   <source>Umber</source>
   <translation>Umbra</translation>
  </message>
  <message>
   <source>Maroon</source>
   <translation>Kastanie</translation>
  </message>
  <message>
   <source>Wine</source>
   <translation>Wein</translation>
  </message>
  <message>
   <source>Pale pink</source>
   <translation>Blassrosa</translation>
  </message>
  <message>
   <source>Pink</source>
   <translation>Rosa</translation>
  </message>
  <message>
   <source>Rose</source>
   <translation>Rosé</translation>
  </message>
  <message>
   <source>Magenta</source>
   <translation>Magenta</translation>
  </message>
  <message>
   <source>Plum</source>
   <translation>Pflaume</translation>
  </message>
  <message>
   <source>Mauve</source>
   <translation>Malve</translation>
  </message>
  <message>
   <source>Lilac</source>
   <translation>Flieder</translation>
  </message>
  <message>
   <source>Lavender</source>
   <translation>Lavendel</translation>
  </message>
  <message>
   <source>Violet</source>
   <translation>Violett</translation>
  </message>
  <message>
   <source>Purple</source>
   <translation>Purpur</translation>
  </message>
  <message>
   <source>Aubergine</source>
   <translation>Aubergine</translation>
  </message>
  <message>
   <source>Indigo</source>
   <translation>Indigo</translation>
  </message>
  <message>
   <source>Navy</source>
   <translation>Marine</translation>
  </message>
  <message>
   <source>Ultramarine</source>
   <translation>Ultramarin</translation>
  </message>
  <message>
   <source>Blue</source>
   <translation>Blau</translation>
  </message>
  <message>
   <source>Sky blue</source>
   <translation>Himmelblau</translation>
  </message>
  <message>
   <source>Pale blue</source>
   <translation>Blassblau</translation>
  </message>
  <message>
   <source>Slate blue</source>
   <translation>Schieferblau</translation>
  </message>
  <message>
   <source>Turquoise</source>
   <translation>Türkis</translation>
  </message>
  <message>
   <source>Teal</source>
   <translation>Blaugrün</translation>
  </message>
  <message>
   <source>Petrol</source>
   <translation>Petrol</translation>
  </message>
  <message>
   <source>Pale turquoise</source>
   <translation>Blasstürkis</translation>
  </message>
  <message>
   <source>Sea green</source>
   <translation>Seegrün</translation>
  </message>
  <message>
   <source>Mint</source>
   <translation>Minze</translation>
  </message>
  <message>
   <source>Jade</source>
   <translation>Jade</translation>
  </message>
  <message>
   <source>Green</source>
   <translation>Grün</translation>
  </message>
  <message>
   <source>Leaf green</source>
   <translation>Blattgrün</translation>
  </message>
  <message>
   <source>Grass green</source>
   <translation>Grasgrün</translation>
  </message>
  <message>
   <source>Bottle green</source>
   <translation>Flaschengrün</translation>
  </message>
  <message>
   <source>Dark green</source>
   <translation>Dunkelgrün</translation>
  </message>
  <message>
   <source>Lime</source>
   <translation>Limette</translation>
  </message>
  <message>
   <source>Apple green</source>
   <translation>Apfelgrün</translation>
  </message>
  <message>
   <source>Pale green</source>
   <translation>Blassgrün</translation>
  </message>
  <message>
   <source>Sage</source>
   <translation>Salbei</translation>
  </message>
  <message>
   <source>Moss</source>
   <translation>Moos</translation>
  </message>
  <message>
   <source>Olive</source>
   <translation>Oliv</translation>
  </message>
  <message>
   <source>Khaki</source>
   <translation>Khaki</translation>
  </message>
  <message>
   <source>Dark olive</source>
   <translation>Dunkeloliv</translation>
  </message>
 </context>
</TS>
