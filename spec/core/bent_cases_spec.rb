# frozen_string_literal: true

require "json"
require_relative "support"
require_relative "../../exchange/kits_file"
require_relative "../../exchange/trips_file"

# Cases are written by anybody: whatever is bent in one that was right, it is answered, or refused by the name of its
# case and field. It is never an error of ours, and never takes the answers of the others with it.
RSpec.describe NutShelf::Exchange::CaseFile do
  include CoreSupport

  # What somebody might write instead.
  instead = {
    Integer => [0, 1, -1, 7, 5000, 10**30, "no", nil], Float => [0, -2.5, 0.5, nil], NilClass => [0, "no"],
    TrueClass => [false, nil], FalseClass => [true, nil],
    String => ["", "no", "0", "-1", "2.5", "1e999999999", "2027-02-30", "99999-01-01", nil, 3, {}]
  }

  def leaves(node, path = [])
    case node
    when Hash then node.flat_map { |key, value| leaves(value, [*path, key]) }
    when Array then node.each_with_index.flat_map { |value, at| leaves(value, [*path, at]) }
    else [[path, node]]
    end
  end

  define_method(:bent) do |one, dice|
    copy = JSON.parse(JSON.generate(one["input"]))
    path, value = leaves(copy).sample(random: dice)
    path[0..-2].reduce(copy) { |node, key| node[key] }[path.last] = instead.fetch(value.class).sample(random: dice)
    one.merge("input" => copy)
  end

  def cases(name)
    read = JSON.parse(File.read(File.expand_path("../cases/#{name}.json", __dir__)))
    read.is_a?(Hash) ? read.fetch("cases") : read
  end

  { "trips" => NutShelf::Exchange::TripsFile, "trips_worked" => NutShelf::Exchange::TripsFile,
    "kits" => NutShelf::Exchange::KitsFile }.each do |name, file|
    it "answers or names what is bent in #{name}" do
      dice = Random.new(name.sum)
      answered = refused = 0
      250.times do
        one = bent(cases(name).sample(random: dice), dice)
        found = file.new(JSON.generate([one]), catalog: catalog).answers do |fault|
          refused += 1
          expect(fault.message).to start_with("Case #{one["id"]}")
        end
        answered += found.size
      end
      expect([answered, refused].min).to be > 40
    end
  end

  it "names an entry of several that is none" do
    text = JSON.generate([{ id: "mine", kind: "several", input: [3] }])
    expect { NutShelf::Exchange::TripsFile.new(text, catalog: catalog).answers }.to raise_error(
      described_class::Unreadable, /Case mine, 1, input \(3\)/
    )
  end

  it "answers the others where one is wrong or stands twice" do
    good, other = cases("trips").first(2)
    broken = good.merge("id" => "broken", "input" => {})
    told = []
    file = NutShelf::Exchange::TripsFile.new(JSON.generate([broken, good, good, other]), catalog: catalog)
    found = file.answers { |fault| told << fault.message }
    expect(found.keys).to eq([good["id"], other["id"]])
    expect(told).to contain_exactly(start_with("Case broken, "), /\ACase #{good["id"]}, id .*an id of its own/)
  end
end
