# frozen_string_literal: true

require_relative "../value"
require_relative "lines"
require_relative "packet"

module NutShelf
  module Core
    module Kits
      # A packed box: its packets, and grams with the box itself. Frozen.
      Box =
        Value.of(:packets, :gross_g, :box_ml) do
          # @return [Hash{Object=>Integer}] packs by stack
          def counts = packets.map(&:id).tally

          # @return [Boolean]
          def opener? = packets.any?(&:opener)

          # @return [Rational] grams of what breaks
          def glass_g = packets.select(&:glass).sum(0r, &:gross_g)
        end

      # Boxes, packets that go into none, and by line what stays when the worst box is lost (a share of the whole), with
      # whether that is as much as a fair dealing can keep. Frozen.
      Dealt = Value.of(:boxes, :left_out, :kept, :spread_ok)

      # Deals packs into boxes so that losing one keeps half of everything (docs/kits.md 5): line by line, the largest
      # first, each into the box that has least of its line; the fewest boxes, two or more, that hold all. What stands
      # in a box stays there.
      class Boxes
        LEAST = 2
        MOST = 99

        # @param box_ml [Rational] room in a box
        # @param box_tare_g [Rational] weight of an empty box
        # @param limit_g [Rational] what one person carries, with the box
        def initialize(box_ml:, limit_g:, box_tare_g: 0r)
          @box_ml = box_ml
          @limit_g = limit_g
          @tare = box_tare_g
          freeze
        end

        # @param packets [Array<Packet>] to deal
        # @param standing [Hash{Integer=>Array<Packet>}] what stands in a box already, by its number from 1
        # @return [Dealt]
        def call(packets, standing: {})
          able, large = packets.partition { |one| room?([], one) }
          order = able.sort_by { |one| [place(one.line), -one.amount, -one.gross_g, one.id.to_s] }
          stay = standing.values.flatten
          fewest = [least(able + stay), *standing.keys].max
          dealt = (fewest..MOST).lazy.filter_map { |count| deal(order, filled(count, standing)) }.first
          return beyond(packets) unless dealt

          boxes = dealt.map { |list| box(list) }.freeze
          Dealt.new(boxes: boxes, left_out: large.freeze, **spread(able + stay, dealt))
        end

        private

        # What no house carries out is not dealt at all.
        def beyond(packets)
          Dealt.new(boxes: [].freeze, left_out: packets.freeze, kept: {}.freeze, spread_ok: {}.freeze)
        end

        # Fewer boxes could not hold it, however it is dealt.
        def least(packets)
          return LEAST if packets.empty?

          carried = (packets.sum(0r, &:gross_g) / (@limit_g - @tare)).ceil
          [LEAST, carried, (packets.sum(0r, &:box_ml) / @box_ml).ceil].max
        end

        def place(line) = Lines::ALL.index(line) || Lines::ALL.size

        # A box while it is filled: what lies in it, what it weighs, its room taken, and how much it has of each line.
        Filling = Struct.new(:packets, :weight, :ml, :lines)
        private_constant :Filling

        def filled(count, standing)
          Array.new(count) do |at|
            Filling.new([], @tare.to_r, 0r, Hash.new(0r))
              .tap { |box| standing.fetch(at + 1, []).each { |one| fill(box, one) } }
          end
        end

        # @return [Array<Array<Packet>>, nil] nil where so many boxes do not hold all
        def deal(order, boxes)
          order.each do |packet|
            able = boxes.each_index.select { |at| fits?(boxes[at], packet) }
            into = able.min_by { |at| [boxes[at].lines[packet.line], boxes[at].weight, at] } or return
            fill(boxes[into], packet)
          end
          boxes.map(&:packets)
        end

        def fill(box, packet)
          box.packets << packet
          box.weight += packet.gross_g
          box.ml += packet.box_ml
          box.lines[packet.line] += packet.amount
        end

        def fits?(box, one) = box.weight + one.gross_g <= @limit_g && box.ml + one.box_ml <= @box_ml

        def room?(packets, one)
          weight(packets) + one.gross_g <= @limit_g && packets.sum(0r, &:box_ml) + one.box_ml <= @box_ml
        end

        def weight(packets) = packets.sum(@tare.to_r, &:gross_g)

        def amount(packets, line) = packets.sum(0r) { |one| of_line(one, line) }

        def of_line(packet, line)
          return packet.kcal if line == "kcal"

          packet.line == line ? packet.amount : 0r
        end

        def box(packets)
          Box.new(packets: packets.freeze, gross_g: weight(packets), box_ml: packets.sum(0r, &:box_ml))
        end

        # A box lost takes at least its largest pack: of the rest, half is as much as can be asked.
        def spread(packets, boxes)
          kept = {}
          fair = {}
          lines(packets).each do |line|
            whole = amount(packets, line)
            stays = whole - boxes.map { |list| amount(list, line) }.max
            kept[line] = stays / whole
            fair[line] = stays >= (whole - packets.map { |one| of_line(one, line) }.max) / 2
          end
          { kept: kept.freeze, spread_ok: fair.freeze }
        end

        def lines(packets)
          [*Lines::ALL.select { |line| packets.count { |one| one.line == line } > 1 }, "kcal"]
            .select { |line| amount(packets, line).positive? }
        end
      end
    end
  end
end
