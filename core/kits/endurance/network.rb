# frozen_string_literal: true

module NutShelf
  module Core
    module Kits
      module Endurance
        # A maximum flow of food to people and days that takes food step by step, in whole numbers.
        #
        # What is good on a day is good on every earlier day, so each group of people has a chain of spans of days, from
        # late to early, and food enters at its last span. Extras run along a chain of their own, of which each span
        # lets through no more than their share. Food goes to the latest span that is open; only where none is, a way is
        # looked for on which other food makes room. A place from which nobody can be reached any more never will be
        # again: no such way leads through it.
        class Network
          # @param spans [Integer] of days, the earliest first
          # @param demand [Array<Array<Integer>>] by group and span
          # @param extras [Array<Array<Integer>>] most that extras may stand for, by group and span
          def initialize(spans, demand, extras)
            @spans = spans
            @endless = demand.sum(&:sum) + 1
            @to = []
            @room = []
            @edges = []
            @dead = []
            @sink = node
            @chains = demand.each_index.map { |group| chain(demand[group], extras[group]) }
            @entries = {}
          end

          # @param mask [Integer] groups who eat it, as bits
          # @param span [Integer] its last
          # @param extra [Boolean]
          # @param amount [Integer]
          # @return [Integer] how much of it reaches people
          def take(mask, span, extra, amount)
            from = @entries[(mask * 2) + (extra ? 1 : 0) + (span << 40)] ||= enter(mask, span, extra)
            return 0 if @dead[from]

            taken = straight(from, span, extra, amount)
            taken += found while taken < amount && find(from, amount - taken)
            taken
          end

          private

          # Edges of one group's spans: to its people, down the chain, through the gate of extras.
          Chain = Struct.new(:plain, :rich, :feeds, :down, :gates, :rich_down, :latest)
          private_constant :Chain

          # How much the way that was found carries.
          attr_reader :found

          def node
            @edges << []
            @dead << false
            @edges.size - 1
          end

          def link(from, to, room)
            @edges[from] << @to.size
            @to << to
            @room << room
            @edges[to] << @to.size
            @to << from
            @room << 0
            @to.size - 2
          end

          def chain(demand, extras)
            made = Chain.new([], [], [], [nil], [], [nil], (0...@spans).to_a)
            @spans.times do |span|
              people = node
              feed = link(people, @sink, demand[span])
              made.plain << node
              made.rich << node
              made.feeds << [feed, link(made.plain[span], people, @endless)]
              made.gates << link(made.rich[span], people, extras[span])
              next if span.zero?

              made.down << link(made.plain[span], made.plain[span - 1], @endless)
              made.rich_down << link(made.rich[span], made.rich[span - 1], @endless)
            end
            made
          end

          def enter(mask, span, extra)
            from = node
            @chains.each_with_index do |chain, group|
              link(from, extra ? chain.rich[span] : chain.plain[span], @endless) if mask[group] == 1
            end
            from
          end

          # Into open spans, the latest first.
          def straight(from, span, extra, amount)
            taken = 0
            @edges[from].each do |edge|
              next if edge.odd?

              chain = @chains.find { |one| (extra ? one.rich : one.plain)[span] == @to[edge] }
              while taken < amount && (into = open_span(chain, span, extra))
                pushed = pour(chain, edge, span, into, extra, amount - taken)
                taken += pushed
              end
            end
            taken
          end

          # @return [Integer, nil] the latest span up to this one with people to feed, for extras with an open gate
          def open_span(chain, span, extra)
            at = latest(chain, span)
            at = latest(chain, at - 1) while extra && at >= 0 && @room[chain.gates[at]].zero?
            at.negative? ? nil : at
          end

          # Spans that are full stay full, so they are passed over for good.
          def latest(chain, span)
            at = span
            at = chain.latest[at] == at ? at - 1 : chain.latest[at] while at >= 0 && @room[chain.feeds[at].first].zero?
            chain.latest[span] = at unless span.negative?
            at
          end

          def pour(chain, edge, span, into, extra, amount)
            feed, people = chain.feeds[into]
            last = extra ? chain.gates[into] : people
            pushed = [amount, @room[feed], @room[last]].min
            downs = extra ? chain.rich_down : chain.down
            [edge, feed, last].each { |one| shift(one, pushed) }
            ((into + 1)..span).each { |one| shift(downs[one], pushed) }
            pushed
          end

          def shift(edge, amount)
            @room[edge] -= amount
            @room[edge ^ 1] += amount
          end

          # Looks for a way on which other food makes room, and sends as much along it as it carries.
          # @return [Boolean] whether there is one
          def find(from, amount)
            back = { from => nil }
            queue = [from]
            queue.each do |place|
              return send_back(back, amount) if place == @sink

              @edges[place].each do |edge|
                to = @to[edge]
                next if @dead[to] || !@room[edge].positive? || back.key?(to)

                back[to] = edge
                queue << to
              end
            end
            bury(queue)
          end

          # From none of these places anybody is reached any more.
          def bury(places)
            places.each { |place| @dead[place] = true }
            false
          end

          def send_back(back, amount)
            way = []
            place = @sink
            while (edge = back[place])
              way << edge
              place = @to[edge ^ 1]
            end
            @found = [amount, *way.map { |one| @room[one] }].min
            way.each { |one| shift(one, @found) }
            true
          end
        end
      end
    end
  end
end
