# frozen_string_literal: true

require "bundler"
require "json"
require "open3"
require "tempfile"

# The commands that need no database work with Debian's Ruby alone, as the README says.
RSpec.describe "Commands" do
  def run(*command, input: "")
    Bundler.with_unbundled_env do
      Open3.capture3(*command, stdin_data: input, chdir: File.expand_path("../..", __dir__))
    end
  end

  def list(*names) = Tempfile.create("places").tap { |file| file.write(JSON.generate(names)) && file.flush }.path

  it "bin/label-line reads lines by the household's places, measures, order and languages" do
    output, errors, status =
      run(
        "bin/label-line",
        "--today",
        "2026-11-24",
        "--places",
        list("Shelf 1", "Shelf 2"),
        "--measures",
        "us",
        "--day-order",
        "mdy",
        "--languages",
        "de",
        input: "honey 340 g shelf 2 bb 5/31/28\n1 qt milk\n2 Dosen Mais\n"
      )
    expect([errors, status.success?]).to eq(["", true])
    honey, milk, corn = output.lines.map { |line| JSON.parse(line) }
    expect(honey).to include("place" => "Shelf 2", "count" => 1, "date" => "2028-05-31", "unread" => [])
    expect(milk["amount"]).to be_within(0.001).of(946.353)
    expect(corn).to include("count" => 2, "food" => "canned-sweetcorn")
  end

  it "bin/label-line says what it cannot take" do
    [
      [%w[--languages xx], /No words are known of xx/],
      [%w[--measures roman], /--measures roman/],
      [%w[--places /nowhere], /No such file/],
      [%w[--today soon], /invalid date/]
    ].each do |options, words|
      _, errors, status = run("bin/label-line", *options)
      expect([errors, status.success?]).to match([words, false])
    end
  end

  it "bin/read-list reads a list as bringing it in would" do
    file = Tempfile.create("list")
    file.write("Lebensmittel;Anzahl;Inhalt;Lagerort;MHD\nMehl;2;1.000 g;Keller;31.05.2028\nGrog;1;;;\n")
    file.close
    output, errors, status =
      run("bin/read-list", file.path, "--places", list("Keller"), "--languages", "de", "--today", "2026-11-24")
    expect([errors, status.success?]).to eq(["", true])
    seen = JSON.parse(output)
    expect(seen["rows"].first).to include(
      "food" => "flour-white", "place" => "Keller", "amount" => "1000", "unit" => "g", "printed_on" => "2028-05-31"
    )
    expect(seen["problems"].map { |problem| problem["line"] }).to eq([3])
    expect(run("bin/read-list", "/nowhere").last.success?).to be(false)
  end

  it "bin/dating-check dates stories" do
    file = Tempfile.create("stories")
    file.write(
      JSON.generate(
        [
          {
            id: "a", food: "honey", situation: "bought_sealed", place: "cupboard", printed_on: "2028-05-31",
            printed_kind: "best_before", today: "2026-11-24", events: []
          }
        ]
      )
    )
    file.close
    output, errors, status = run("bin/dating-check", file.path)
    expect([errors, status.success?]).to eq(["", true])
    expect(JSON.parse(output)["a"]).to include("usable_until" => "2028-05-31")
  end
end
