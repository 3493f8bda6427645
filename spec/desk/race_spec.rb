# frozen_string_literal: true

require "spec_helper"
require_relative "../../desk/race"

RSpec.describe NutShelf::Desk::Race do
  work = NutShelf::Core::Work
  filled = ->(cost) { NutShelf::Desk::Filled.new(plan: [cost].freeze, cost: cost.to_r) }
  # Workers that do what they are told for each seed: costs handed out, then an answer or a fate.
  workers = Struct.new(:fates, :asked) do
    def elsewhere? = true

    def ask(filling, _shared, **limits, &block)
      (self.asked ||= []) << [filling.seed, limits[:seconds]]
      *parts, last = fates.fetch(filling.seed)
      parts.each(&block)
      raise last if last.is_a?(Exception)

      last
    end
  end
  let(:shared) { work::Shared.new(key: [1], value: nil) }
  let(:filling) { NutShelf::Desk::Filling.new(seconds: 1.0) }

  def run(there, **more, &) = described_class.new(there, shared).run(filling, **more, &)

  it "takes the better of two seeds, and tells every plan that is better than those before" do
    there = workers.new({ 1 => [9, 7, 5].map(&filled), 2 => [8, 4].map(&filled) })
    told = []
    expect(run(there) { |one| told << one.cost }.cost).to eq(4)
    expect(told).to eq(told.sort.reverse.uniq)
    expect(told.last).to eq(4)
    expect(there.asked.map(&:first)).to contain_exactly(1, 2)
    expect(there.asked.map(&:last)).to all(be > 1.0)
  end

  it "has the best so far when a worker dies in the middle" do
    there = workers.new({ 1 => [filled.(3), work::Gone.new("The worker died.")], 2 => [filled.(6)] })
    expect(run(there).cost).to eq(3)
  end

  it "says why where nobody found anything" do
    there = workers.new({ 1 => [work::Busy.new("Enough is waiting.")], 2 => [work::Gone.new("gone")] })
    expect { run(there) }.to raise_error(work::Undone)
  end

  it "is one search where there is nobody to do it elsewhere" do
    here = Class.new do
      def self.elsewhere? = false
      def self.ask(filling, *, **) = NutShelf::Desk::Filled.new(plan: [], cost: filling.seed.to_r)
    end
    expect(run(here).cost).to eq(1)
  end
end
