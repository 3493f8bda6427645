# frozen_string_literal: true

require "json"
require "open3"
require "spec_helper"
require_relative "../../exchange/label_sheet"
require_relative "../../exchange/pdf_picture"

RSpec.describe NutShelf::Exchange::LabelSheet do
  grids = NutShelf::Exchange::LabelGrid::ALL

  def label(number, **more)
    described_class::Label.new(
      name: "Bean stew no. #{number}",
      amount: "350 g",
      until_words: "Good until 24 Mar 2027",
      dates: ["frozen 24 Nov 2026"],
      place: "Chest freezer",
      directions: "Thaw overnight, heat until it steams",
      bought_for: "",
      code: "http://127.0.0.1:9380/s/#{number}",
      **more
    )
  end

  # What another library, in another language, reads in the cells of a page. A reader looks at many frames of a code
  # and takes the first that works; so does this, at a few sizes.
  def codes_on(pdf, page, grid, cells)
    tries = [200, 150, 260, 320].lazy.map { |dpi| read_at(pdf, page, grid, cells, dpi) }
    tries.reduce do |best, more|
      if best.none? { |text| text.include?("Exception") }
        (break best)
      else
        best.zip(more).map { |one, other| one.include?("Exception") ? other : one }
      end
    end
  end

  def read_at(pdf, page, grid, cells, dpi)
    grey, error, status =
      Open3.capture3(
        "pdftoppm",
        "-gray",
        "-r",
        dpi.to_s,
        "-f",
        page.to_s,
        "-l",
        page.to_s,
        "-singlefile",
        "-",
        stdin_data: pdf,
        binmode: true
      )
    raise error unless status.success?

    inner = [grid.width, grid.height].map { |size| size - (2 * grid.padding) }
    side = [inner[1], inner[0] * 0.3].min
    boxes =
      cells.map do |cell|
        grid.origin(cell).then do |left, top|
          [left + grid.padding + inner[0] - side, top + grid.padding, side, side].map { |mm| (mm * dpi / 25.4).round }
        end
      end
    script = <<~JS
      const Z = require('@zxing/library'); const chunks = []; process.stdin.on('data', d => chunks.push(d)).on('end', () => {
        const all = Buffer.concat(chunks); const head = all.subarray(0, 60).toString('latin1').match(/^P5\\s+(\\d+)\\s+(\\d+)\\s+255\\s/); const w = +head[1], pixels = all.subarray(head[0].length);
        console.log(JSON.stringify(#{JSON.generate(boxes)}.map(([x, y, cw, ch]) => { const rim = 30, pw = cw + 2 * rim, ph = ch + 2 * rim, part = new Uint8ClampedArray(pw * ph).fill(255);
          for (let r = 0; r < ch; r++) for (let c = 0; c < cw; c++) part[(r + rim) * pw + c + rim] = pixels[(y + r) * w + x + c] ?? 255;
          const hints = new Map([[Z.DecodeHintType.TRY_HARDER, true]]);
          let last = ''; for (const way of [Z.GlobalHistogramBinarizer, Z.HybridBinarizer]) for (const flip of [false, true]) {
            let light = new Z.RGBLuminanceSource(part, pw, ph); if (flip) { const turned = new Uint8ClampedArray(pw * ph); for (let r = 0; r < ph; r++) for (let c = 0; c < pw; c++) turned[c * ph + (ph - 1 - r)] = part[r * pw + c]; light = new Z.RGBLuminanceSource(turned, ph, pw) }
            try { return new Z.QRCodeReader().decode(new Z.BinaryBitmap(new way(light)), hints).getText() } catch (e) { last = String(e) } }
          return last })))
      })
    JS
    output, error, status =
      Open3.capture3(
        "node",
        "-e",
        script,
        stdin_data: grey,
        binmode: true,
        chdir: File.expand_path("../../ui", __dir__)
      )
    raise error unless status.success?

    JSON.parse(output)
  end

  def pages(pdf) = Open3.capture2("pdfinfo", "-", stdin_data: pdf, binmode: true).first[/Pages:\s+(\d+)/, 1].to_i

  def words_on(pdf, page)
    Open3
      .capture2("pdftotext", "-f", page.to_s, "-l", page.to_s, "-", "-", stdin_data: pdf, binmode: true)
      .first
      .force_encoding("UTF-8")
  end

  it "prints twenty full sheets whose codes can be read, the first and the last" do
    grid = grids.fetch("3x8")
    pdf = described_class.new(grid).render(Array.new(480) { |number| label(number + 1) })
    expect(pages(pdf)).to eq(20)
    expect(codes_on(pdf, 1, grid, [0, 2, 12, 23])).to eq(
      [1, 3, 13, 24].map { |number| "http://127.0.0.1:9380/s/#{number}" }
    )
    expect(codes_on(pdf, 20, grid, [0, 23])).to eq([457, 480].map { |number| "http://127.0.0.1:9380/s/#{number}" })
    expect(words_on(pdf, 20)).to include("Bean stew no. 480", "Good until 24 Mar 2027", "frozen 24 Nov 2026")
  end

  grids.each do |key, grid|
    it "fills the grid #{key} to its last cell without leaving the page" do
      last = grid.origin(grid.per_page - 1)
      expect(last[0] + grid.width).to be <= grid.page[0] + 0.01
      expect(last[1] + grid.height).to be <= grid.page[1] + 0.01
      pdf = described_class.new(grid).render(Array.new(grid.per_page) { |number| label(number + 1) })
      expect(pages(pdf)).to eq(1)
      expect(codes_on(pdf, 1, grid, [grid.per_page - 1])).to eq(["http://127.0.0.1:9380/s/#{grid.per_page}"])
    end
  end

  it "begins after the cells that are used up" do
    grid = grids.fetch("3x8")
    sheet = described_class.new(grid, skip: 23)
    expect([sheet.sheets(1), sheet.sheets(2)]).to eq([1, 2])
    pdf = sheet.render([label(1), label(2)])
    expect([pages(pdf), codes_on(pdf, 1, grid, [23]), codes_on(pdf, 2, grid, [0])]).to eq(
      [2, ["http://127.0.0.1:9380/s/1"], ["http://127.0.0.1:9380/s/2"]]
    )
  end

  it "keeps a very long name and foreign letters inside the cell" do
    grid = grids.fetch("4x10")
    long =
      label(
        7,
        name: "Żurek with white sausage, boiled egg and horseradish, portion for a hungry ferry hand of Kestrel Quay",
        directions: "Heat gently. " * 40,
        bought_for: "čaj \u{1F41F}"
      )
    pdf = described_class.new(grid).render([long])
    expect(pages(pdf)).to eq(1)
    expect(codes_on(pdf, 1, grid, [0])).to eq(["http://127.0.0.1:9380/s/7"])
    expect(words_on(pdf, 1)).to include("Żurek")
  end

  it "cuts what does not fit with an ellipsis, and leaves out no word that does" do
    grid = grids.fetch("4x10")
    words =
      words_on(
        described_class.new(grid).render([label(7, name: "Plum chutney " * 12, directions: "Heat gently. " * 60)]),
        1
      )
    expect(words.scan("…").size).to eq(2)
    expect(words).to include("Plum chutney", "Heat gently.")
    expect(words_on(described_class.new(grid).render([label(8)]), 1)).not_to include("…")
  end

  it "prints the letters of every script people write in" do
    names = {
      "Греча и щавель" => "щавель", "Ελληνικές ελιές" => "ελιές", "鹰嘴豆罐头" => "鹰嘴豆罐头", "ひよこ豆" => "ひよこ豆",
      "병아리콩" => "병아리콩", "ถั่ว" => "ถ", "दाल" => "द", "Żurek" => "Żurek", "חומוס" => "חומוס"
    }
    words = words_on(described_class.new(grids.fetch("2x7")).render(names.keys.map { |name| label(1, name: name) }), 1)
    letters = names.map { |name, piece| [name, words.include?(piece) || words.include?(piece.reverse)] }
    expect(letters).to all(match([anything, true]))
    expect(words).not_to include("□")
  end

  it "keeps four white modules around a code" do
    grid = grids.fetch("2x4")
    pdf = described_class.new(grid).render([label(1)])
    grey = Open3.capture2("pdftoppm", "-gray", "-r", "300", "-singlefile", "-", stdin_data: pdf, binmode: true).first
    width = grey[/\AP5\s+(\d+)/, 1].to_i
    pixels = grey.b[-(width * grey[/\AP5\s+\d+\s+(\d+)/, 1].to_i)..]
    left, top = grid.origin(0).map { |mm| mm + grid.padding }
    side =
      [grid.height, grid.width * 0.3].map { |mm| mm }
        .then { |height, share| [height - (2 * grid.padding), (grid.width - (2 * grid.padding)) * 0.3, share].min }
    x, y, size = [left + grid.width - (2 * grid.padding) - side, top, side].map { |mm| (mm * 300 / 25.4).round }
    dark = (0...size).find { |column| (0...size).any? { |row| pixels.getbyte(((y + row) * width) + x + column) < 100 } }
    module_size = size.to_f / (NutShelf::Exchange::SquareCode.modules(label(1).code).size + 8)
    expect(dark / module_size).to be_within(0.3).of(4)
  end

  it "says what is missing when no picture can be made" do
    stub_const("NutShelf::Exchange::PdfPicture::PROGRAM", "no-such-program")
    expect { NutShelf::Exchange::PdfPicture.page("x") }.to raise_error(
      NutShelf::Exchange::PdfPicture::Missing,
      /poppler-utils/
    )
  end
end
