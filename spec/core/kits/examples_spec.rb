# frozen_string_literal: true

require "json"
require_relative "../support"
require_relative "../../../exchange/kits_file"

RSpec.describe NutShelf::Exchange::KitsFile do
  include CoreSupport

  def answers(cases)
    JSON.parse(JSON.generate(described_class.new(JSON.generate(cases), catalog: catalog).answers))
  end

  cases = JSON.parse(File.read(File.expand_path("../../cases/kits.json", __dir__)))
  cases.each do |one|
    it "answers the worked example #{one["id"]} (#{one["kind"]}) as it was computed independently" do
      expect(answers([one.slice("id", "kind", "input")])).to eq(one["id"] => one["expected"])
    end
  end

  it "says which case and field is wrong, and how to mend it" do
    wrong = [{ id: "mine", kind: "gives", input: { stack: { food: "moon-cheese", pack: "400g" } } }]
    expect { answers(wrong) }.to raise_error(NutShelf::Exchange::CaseFile::Unreadable, /mine, stack, food.*moon-cheese/)
    heavy = [{ id: "mine", kind: "gives", input: { stack: { food: "cooked-rice", pack: "1" } } }]
    expect { answers(heavy) }.to raise_error(/mine.*How heavy.*weigh one piece/)
    expect { answers([{ id: "x", kind: "dance", input: {} }]) }.to raise_error(/kind.*Use one of needs/)
    expect { answers([{ id: "x", kind: "gap", input: { lines: [], people: [{ age: -3 }] } }]) }
      .to raise_error(/people 1, age \(-3\)/)
  end

  it "walks a file by bin/kits-check" do
    path = File.expand_path("../../cases/kits.json", __dir__)
    said = JSON.parse(IO.popen([File.expand_path("../../../bin/kits-check", __dir__), path], &:read))
    expect(said.keys).to eq(cases.map { |one| one["id"] })
  end
end
