# frozen_string_literal: true

require "open3"
require "spec_helper"
require_relative "../../exchange/papers/pdf"

RSpec.describe NutShelf::Exchange::Papers::Pdf do
  papers = NutShelf::Exchange::Papers

  def text_of(pdf)
    output, error, status = Open3.capture3("pdftotext", "-layout", "-", "-", stdin_data: pdf, binmode: true)
    raise error unless status.success?

    output.force_encoding("UTF-8")
  end

  def paper(rows, **more)
    NutShelf::Exchange::Papers::Paper.new(
      title: "Sallow House: meals", subtitle: "Tue 24 Nov", back: "/meals",
      parts: [NutShelf::Exchange::Papers::Table.new(columns: %w[Day Meals], shares: [1, 4], rows: rows)], **more
    )
  end

  it "puts title, headings and every row on paper" do
    lines = papers::Lines.new(heading: "Notes", items: ["Less rice.", "Lanterns on the quay"])
    made = paper([["Tue 24 Nov", "dinner: Pea risotto"], ["Wed 25 Nov", "dinner: Würzige Bohnen"]])
    words = text_of(described_class.new(made.with(parts: [*made.parts, lines])).render)
    expect(words).to include("Sallow House: meals", "Day", "Tue 24 Nov", "Pea risotto", "Würzige Bohnen", "Less rice.")
  end

  it "goes on to further pages, with the headings again, and loses no row" do
    rows = Array.new(120) { |at| ["Row #{at}", "dinner: something with beans number #{at}\nlunch: bread"] }
    pages = text_of(described_class.new(paper(rows)).render).split("\f")
    expect(pages.size).to be > 3
    expect(pages).to all(include("Day"))
    expect(pages.join.scan(/Row \d+/).uniq.size).to eq(120)
  end

  it "has letters for other scripts, and takes an empty paper" do
    expect(described_class.new(paper([["火曜日", "夕食: 豆"]])).render).to start_with("%PDF")
    expect(described_class.new(paper([], parts: [])).render).to start_with("%PDF")
  end
end
