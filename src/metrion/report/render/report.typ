#let data = json(bytes(sys.inputs.data))
#set document(title: data.title)
#set page(paper: sys.inputs.paper, margin: (x: 18mm, y: 20mm), numbering: "1 / 1")
#set text(font: ("Libertinus Serif", "New Computer Modern Math"), size: 10.5pt, lang: data.language)
#set par(leading: 0.6em)
// A word that no line would hold may break.
#show regex("\\S{31,}"): it => it.text.clusters().join(sym.zws)
#show math.equation: set text(top-edge: "bounds", bottom-edge: "bounds")
#show heading.where(level: 2): it => block(
  above: 1.5em, below: 0.7em, width: 100%, stroke: (bottom: 0.8pt), inset: (bottom: 3pt), it,
)
#show heading.where(level: 3): it => block(above: 1.2em, below: 0.5em, it)

#let quiet = rgb("#55606a")
#let hues = (
  main: rgb("#24419a"), fine: rgb("#8a4b00"), zero: rgb("#0a6a5f"), result: rgb("#7b1e4e"),
)
#let dashes = (main: "solid", fine: "dashed", zero: "dotted", result: "solid")

// A piece of one part: its hue and its underline; that of the result is double.
#let part(name, body) = {
  let stroke = (paint: hues.at(name), thickness: 0.8pt, dash: dashes.at(name))
  let lined = underline(stroke: stroke, offset: 2.5pt, text(fill: hues.at(name), body))
  if name == "result" { underline(stroke: 0.5pt + hues.result, offset: 4.3pt, lined) } else { lined }
}
#let hue(name, body) = text(fill: hues.at(name), body)
#let result(body) = block(sticky: true, text(size: 14pt, weight: "bold", body))
#let steps(..cells) = grid(
  columns: (1fr, 2fr), align: (left + horizon, right + horizon),
  column-gutter: 4mm, row-gutter: 3mm, ..cells,
)
#let bars(..cells) = grid(
  columns: (auto, 1fr, auto, auto), column-gutter: 5mm, row-gutter: 2mm,
  align: (left, left, right, right), ..cells,
)
#let bar(share) = rect(width: share, height: 3mm, fill: black)
#let hollow = rect(width: 100%, height: 3mm, stroke: (thickness: 0.5pt, dash: "dashed"))
#let readings(align, longest, ..cells) = table(
  // Long words share the room that is left; where none is long, the first column of words has it.
  columns: range(align.len()).map(at => {
    let first = if align.len() > 1 and align.at(1) == right { 0 } else { calc.min(1, align.len() - 1) }
    let long = range(align.len()).filter(one => align.at(one) == left and longest.at(one) > 18)
    if at in long { calc.min(longest.at(at), 40) * 1fr }
    else if long == () and at == first { 1fr }
    else { auto }
  }), align: align, inset: (x: 2.2mm, y: 1.2mm),
  stroke: (x, y) => if y == 0 { (bottom: 0.8pt) } else { (top: 0.3pt + luma(200)) }, ..cells,
)
#let note(count, body) = table.cell(
  colspan: count, stroke: none, align: left, text(size: 9pt, fill: quiet, body),
)
#let picture(svg, caption) = block(breakable: false)[
  #image(bytes(svg), format: "svg", width: 100%, alt: caption)
  #text(fill: quiet, size: 9pt, caption)
]


// A line: pieces of text, and of mathematics, which is built by its functions.
#let set-math(span) = {
  let row(spans) = spans.map(set-math).join()
  if span.form == "over" { math.frac(math.display(row(span.first)), math.display(row(span.second))) }
  else if span.form == "root" { math.sqrt(row(span.first)) }
  else if span.form == "power" { math.attach(row(span.first), t: row(span.second)) }
  else if span.form == "symbol" { math.italic(span.text) }
  else if span.form == "sign" { math.class(if span.text == "=" { "relation" } else { "binary" }, span.text) }
  else if span.form == "brackets" { math.lr(sym.paren.l + row(span.first) + sym.paren.r) }
  else if span.tint == "plain" { span.text }
  else { hue(span.tint, span.text) }
}
#let set-line(spans) = spans.map(span => {
  if span.form == "symbol" { emph(span.text) }
  else if span.form == "sign" [ #span.text~]
  else if span.form != "text" { box(math.equation(math.display(set-math(span)))) }
  else if span.tint == "plain" { span.text }
  else { part(span.tint, span.text) }
}).join()

#let set-cell(cell, struck) = {
  let body = if struck { strike(text(fill: quiet, cell.text)) } else { [#cell.text] }
  if cell.before == "" { body } else [#strike(cell.before) #body]
}
#let set-rows(table) = for row in table.rows {
  row.cells.map(cell => set-cell(cell, row.struck))
  for words in row.notes { ([], note(table.columns.len() - 1, words)) }
}

// Each sort of block, by its name.
#let sorts = (
  TextBlock: block => par(set-line(block.line)),
  Result: block => result({
    if block.symbol != "" [#emph(block.symbol) = ]
    part("result", block.text)
  }),
  Steps: block => steps(
    ..block.steps.map(step => (text(fill: quiet, step.label), std.block(breakable: false, set-line(step.spans)))).flatten(),
  ),
  Table: block => readings(
    block.columns.map(column => if column.figures { right } else { left }),
    range(block.columns.len()).map(at => calc.max(
      0, ..block.rows.map(row => row.cells.at(at).text.clusters().len()),
    )),
    table.header(..block.columns.map(column => {
      if column.tint == "plain" { [#column.head] } else { part(column.tint, column.head) }
    })),
    ..set-rows(block),
  ),
  Bars: block => bars(..block.bars.map(each => (
    [#each.label], if each.lost != "" { hollow } else { bar(each.percent * 1%) },
    [#each.percent_text], [#each.size],
  )).flatten()),
  Contents: block => context {
    let next = query(selector(heading.where(level: 1)).after(here()))
    let following = selector(heading.where(level: 2)).after(here())
    outline(title: none, target: if next == () { following } else {
      following.before(next.first().location())
    })
  },
  PictureBlock: block => picture(block.svg, block.caption),
)

// The logbooks it was made from, so that the PDF can be loaded again.
#for (at, name) in data.carried.enumerate() {
  pdf.attach(
    name, read("/carried-" + str(at), encoding: none),
    mime-type: if name.ends-with(".jpg") { "image/jpeg" } else { "application/json" },
    relationship: if name.ends-with(".jpg") { "supplement" } else { "source" },
  )
}

#for (at, report) in data.reports.enumerate() {
  if at > 0 { pagebreak() }
  heading(level: 1, report.title)
  grid(
    columns: (auto, 1fr), column-gutter: 6mm, row-gutter: 2mm,
    ..report.facts.map(((name, words)) => (text(fill: quiet, name), [#words])).flatten(),
  )
  for section in report.sections {
    let parts = [
      #heading(level: section.level, section.title)
      #for block in section.blocks { (sorts.at(block.sort))(block) }
    ]
    if section.whole { block(breakable: false, parts) } else { parts }
  }
}
