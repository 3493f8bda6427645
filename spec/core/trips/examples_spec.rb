# frozen_string_literal: true

require "json"
require_relative "../support"
require_relative "../../../exchange/trips_file"

RSpec.describe NutShelf::Exchange::TripsFile do
  include CoreSupport

  def answers(cases)
    JSON.parse(JSON.generate(described_class.new(JSON.generate({ cases: cases }), catalog: catalog).answers))
  end

  folder = File.expand_path("../../cases", __dir__)
  %w[trips trips_worked].each do |name|
    JSON.parse(File.read(File.join(folder, "#{name}.json")))["cases"].each do |one|
      it "answers #{one["id"]} of #{name} (#{one["kind"]}) as it was worked out" do
        expect(answers([one.slice("id", "kind", "input")])).to eq(one["id"] => one["expected"])
      end
    end
  end

  it "says which case and field is wrong, and how to mend it" do
    unreadable = NutShelf::Exchange::CaseFile::Unreadable
    wrong = { id: "mine", kind: "portion", input: { inputs: [{ food: "moon-cheese", g: "1", value: 1 }], count: 2 } }
    expect { answers([wrong]) }.to raise_error(unreadable, /mine, inputs 1, food.*moon-cheese/)
    nothing = wrong.merge(input: { inputs: [{ food: "potatoes", g: "100", value: 1 }], trim_g: "200", count: 2 })
    expect { answers([nothing]) }.to raise_error(unreadable, /200.0 g go of 100.0 g/)
    expect { answers([{ id: "x", kind: "dance", input: {} }]) }.to raise_error(unreadable, /several or one of portion/)
    several = { id: "s", kind: "several", input: [{ kind: "dryer", input: { drying: "stones" } }] }
    expect { answers([several]) }.to raise_error(unreadable, /s, 1, drying \("stones"\)/)
    expect { described_class.new("{", catalog: catalog) }.to raise_error(unreadable, /no JSON/)
    expect { described_class.new("[1]", catalog: catalog) }.to raise_error(unreadable, /list of cases/)
  end

  it "walks a file by bin/trips-check" do
    path = File.join(folder, "trips.json")
    said = JSON.parse(IO.popen([File.expand_path("../../../bin/trips-check", __dir__), path], &:read))
    expect(said.keys).to eq(JSON.parse(File.read(path))["cases"].map { |one| one["id"] })
  end
end
