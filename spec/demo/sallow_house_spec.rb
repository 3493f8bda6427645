# frozen_string_literal: true

require_relative "../support/house"
require_relative "../support/plain_books"
require_relative "../support/whole_week"
require_relative "../support/wrong_sentences"
require_relative "../../api/views/plan_view"
require_relative "../../api/views/stack_detail"
require_relative "../../demo/loader"
require_relative "../../desk/looking_back/books"

# The whole demo, lived act by act in a database of its own: no act may be refused, and the books must balance.
RSpec.describe "Sallow House" do
  include WholeWeekSupport

  # The house that is lived in here; the specs' own where there is none.
  def services = @sallow || super

  it "lives ten weeks without a refused act, and its stock is the sum of its movements" do
    url = HouseSupport.owner_url.sub(%r{/[^/]*\z}, "/nut_shelf_sallow")
    NutShelf::Store::Owner.drop(url)
    demo = NutShelf::Boot::Wiring.services(NutShelf::Boot::Wiring.migrated(url))
    id = NutShelf::Demo::Loader.new(demo).load
    demo.database.within(id) do |db|
      house = NutShelf::Store::House.new(db, id)
      expect(house.lots.out_of_balance).to be_empty
      expect(house.lots.all.size).to be > 100
      expect(house.counts.open.map(&:person)).to eq(["Tomas"])
      expect(house.care.due(NutShelf::Demo::Household::TODAY).size).to be >= 2
      expect(house.ledger.recent(limit: 1000).map(&:kind)).to include(
        "count", "decant", "amend", "store_as", "cook", "throw"
      )
    end
    books_read_true(demo, id)
    said = all_it_says(demo, id)
    expect(said.size).to be > 150
    expect(WrongSentences.faults(said).first(10)).to be_empty
    again = NutShelf::Demo::Loader.new(demo)
    expect([again.load, again.half_made?]).to eq([nil, false])
    @sallow = demo.with(clock: clock)
    live_the_week(keeper(demo, id))
    demo.database.disconnect
  end

  # What the look back says of the ten weeks, straight from the movements.
  def books_read_true(demo, id)
    first = NutShelf::Demo::Household::TODAY - 71
    today = NutShelf::Demo::Household::TODAY
    demo.database.within(id) do |db|
      work = NutShelf::Desk::UnitOfWork.new(demo, keeper(demo, id), db)
      [[first, today], [Date.new(2026, 10, 1), Date.new(2026, 10, 31)]].each do |from, to|
        books = NutShelf::Desk::LookingBack::Books.new(work, from: from, to: to)
        expect(books.tally.value).to eq(PlainBooks.left(db, from, to))
        expect(books.balance).to be_even
        expect(books.balance.closing).to eq(PlainBooks.worth(db, to))
        expect(books.tally.wasted).to be_positive
      end
    end
  end

  def keeper(demo, id)
    account = demo.database.outside { |db| db[:accounts].where(email: NutShelf::Demo::Household::KEEPER).get(:id) }
    NutShelf::Desk::Caller.new(account_id: account, household_id: id, role: "keeper")
  end

  # Every whole sentence of the demo's stacks, dishes and picking lists.
  def all_it_says(demo, id)
    demo.database.within(id) do |db|
      work = NutShelf::Desk::UnitOfWork.new(demo, keeper(demo, id), db)
      stacks = work.shelf.stacks.keys.map { |id| NutShelf::Api::StackDetail.new(work, id).call }
      plan = NutShelf::Api::PlanView.new(work)
      dishes = plan.plan.ranked(work.today).map { |ranked| plan.dish(ranked) }
      WrongSentences.sentences([stacks, dishes, plan.ties]).uniq
    end
  end

  it "knows a demo that was stopped half way, and takes it for no whole one" do
    url = HouseSupport.owner_url.sub(%r{/[^/]*\z}, "/nut_shelf_half")
    NutShelf::Store::Owner.drop(url)
    half = NutShelf::Boot::Wiring.services(NutShelf::Boot::Wiring.migrated(url))
    loader = NutShelf::Demo::Loader.new(half)
    allow(loader).to receive(:live).and_raise(Interrupt)
    expect { loader.load }.to raise_error(Interrupt)
    expect([loader.made?, loader.half_made?]).to eq([false, true])
    half.database.disconnect
  end
end
